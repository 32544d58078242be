<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Flow\Serializer\CheckSerializer;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

final readonly class CheckController
{
    public function __construct(private CheckSerializer $serializer, private GymHouseRules $rules, private GymNumberings $numberings)
    {
    }

    /** Reads and checks; stores nothing. */
    #[Route('/api/check', methods: 'POST')]
    public function __invoke(#[MapRequestPayload(acceptFormat: 'json')] CheckRequest $request): JsonResponse
    {
        return new JsonResponse($this->serializer->of($request->chainText($this->numberings), $request->options($this->rules->named($request->rules)), $request->draw()));
    }
}
