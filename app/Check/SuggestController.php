<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Flow\Serializer\GenerationSerializer;
use Periplus\Core\Flow\Serializer\MendSerializer;
use Periplus\Core\Flow\Serializer\NextSerializer;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

/** What could be done about a chain, what could follow it, and chains that do not exist yet. Stores nothing. */
final readonly class SuggestController
{
    public function __construct(private GymHouseRules $rules, private GymNumberings $numberings, private CombinationTable $table)
    {
    }

    #[Route('/api/mends', methods: 'POST')]
    public function mends(#[MapRequestPayload(acceptFormat: 'json')] CheckRequest $request, MendSerializer $mends): JsonResponse
    {
        return new JsonResponse($mends->of($request->chainText($this->numberings), $request->options($this->rules->named($request->rules))));
    }

    #[Route('/api/next', methods: 'POST')]
    public function next(#[MapRequestPayload(acceptFormat: 'json')] NextRequest $request, NextSerializer $next): JsonResponse
    {
        return new JsonResponse($next->of($request->chainText($this->numberings), $request->options($this->rules->named($request->rules)), $request->after));
    }

    /** Chains that are in the library already are not made again. */
    #[Route('/api/generate', methods: 'POST')]
    #[HeavyWork]
    public function generate(#[MapRequestPayload(acceptFormat: 'json')] GenerateRequest $request, GenerationSerializer $generation): JsonResponse
    {
        return new JsonResponse($generation->of($request->criteria($this->rules->named($request->rules)), $request->stance, $this->numberings->named($request->numbering), $this->table->fingerprints()));
    }
}
