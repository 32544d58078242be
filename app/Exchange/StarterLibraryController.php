<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Store\NotFound;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;

use function Periplus\Core\Language\t;

final readonly class StarterLibraryController
{
    public function __construct(private StarterLibrary $library)
    {
    }

    #[Route('/api/starter-library', methods: 'GET')]
    public function read(#[MapQueryParameter] string $rules = 'all-limbs'): JsonResponse
    {
        if (!\in_array($rules, BuiltInHouseRules::ids(), true)) {
            throw new NotFound(t('The rules are boxing, kickboxing or all-limbs.'));
        }

        return new JsonResponse($this->library->under($rules));
    }
}
