<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;

/**
 * Only requests are validated, never entities; asking Doctrine about each request class would slow down every check.
 */
final readonly class ValidateRequestsOnly implements CompilerPassInterface
{
    public function process(ContainerBuilder $container): void
    {
        $container->getDefinition('doctrine.orm.validator_initializer')->clearTag('validator.initializer');
    }
}
