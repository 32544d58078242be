<?php

declare(strict_types=1);

namespace Periplus\App\Check;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Usage\GymUsage;
use Periplus\Core\Flow\Serializer\GenerationSerializer;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

final readonly class GenerateController
{
    public function __construct(
        private GymHouseRules $rules,
        private GymNumberings $numberings,
        private CombinationTable $table,
        private GymUsage $usage,
    ) {
    }

    /** Generates chains that the library does not have yet; stores nothing. */
    #[Route('/api/generate', methods: 'POST')]
    #[HeavyWork]
    public function __invoke(
        #[MapRequestPayload(acceptFormat: 'json')] GenerateRequest $request,
        GenerationSerializer $generation,
    ): JsonResponse {
        return new JsonResponse(
            $generation->serialize(
                $request->criteria($this->rules->named($request->rules)),
                $request->stance,
                $this->numberings->named($request->numbering),
                $this->table->fingerprints(),
                $this->usage->under($request->rules),
            ),
        );
    }
}
