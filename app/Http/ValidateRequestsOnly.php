<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;

/**
 * What is validated here are requests, never entities; asking the mapper about each of them would start it at every
 * check.
 */
final readonly class ValidateRequestsOnly implements CompilerPassInterface
{
    public function process(ContainerBuilder $container): void
    {
        $container->getDefinition('doctrine.orm.validator_initializer')->clearTag('validator.initializer');
    }
}
