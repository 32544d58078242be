<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingReview;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

/** Previews a numbering before it is saved: errors, strikes without a number, and how the library reads in it. */
final readonly class NumberingPreviewController
{
    private const MAX_SAMPLES = 10;
    private const MAX_CHAINS = 400;

    public function __construct(
        private Catalogue $catalogue,
        private GymNumberings $numberings,
        private StoredChains $chains,
        private Reader $reader,
    ) {
    }

    #[Route('/api/numberings/preview', methods: 'POST')]
    public function __invoke(#[MapRequestPayload(acceptFormat: 'json')] NumberingRequest $request): JsonResponse
    {
        $review = new NumberingReview($this->catalogue);
        $content = $request->content();
        $problems = $review->problems($content);
        $stops = [] !== array_filter($problems, static fn (array $problem): bool => $problem['stops']);
        if ($stops) {
            return new JsonResponse([
                'problems' => $problems,
                'gaps' => [],
                'differences' => [],
                'samples' => [],
                'changed' => 0,
                'lookedAt' => 0,
            ]);
        }
        $numbering = Numbering::of('edited', $content);
        $other = $this->numberings->named($request->comparedWith);

        return new JsonResponse([
            'problems' => $problems,
            'gaps' => $review->gaps($numbering),
            'differences' => $review->differences($numbering, $other),
            ...$this->samples($other, $numbering),
        ]);
    }

    /**
     * Returns combinations of the library before and after, those that change first.
     *
     * @return array{
     *     samples: list<array{id: int, name: string, before: string, after: string}>,
     *     changed: int,
     *     lookedAt: int,
     * }
     */
    private function samples(Numbering $before, Numbering $after): array
    {
        $rows = $this->chains->first(self::MAX_CHAINS);
        [$changed, $same] = [[], []];
        foreach ($rows as $row) {
            $inStance = $this->reader->readStored($row['notation'], $row['stance']);
            if (null === $inStance) {
                continue;
            }
            $sample = [
                'id' => $row['id'],
                'name' => $row['name'],
                'before' => (new Writer($before))->write($inStance),
                'after' => (new Writer($after))->write($inStance),
            ];
            $sample['before'] === $sample['after'] ? ($same[] = $sample) : ($changed[] = $sample);
        }

        return [
            'samples' => \array_slice([...$changed, ...$same], 0, self::MAX_SAMPLES),
            'changed' => \count($changed),
            'lookedAt' => \count($rows),
        ];
    }
}
