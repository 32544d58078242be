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
        if (\in_array(true, array_column($problems, 'stops'), true)) {
            return new JsonResponse(new NumberingPreview($problems));
        }
        $numbering = Numbering::of('edited', $content);
        $other = $this->numberings->named($request->comparedWith);
        $samples = $this->samples($other, $numbering);
        $changed = array_values(array_filter($samples, $this->isChanged(...)));
        $same = array_filter($samples, fn (NumberingSample $sample): bool => !$this->isChanged($sample));

        return new JsonResponse(new NumberingPreview(
            $problems,
            $review->gaps($numbering),
            $review->differences($numbering, $other),
            \array_slice([...$changed, ...$same], 0, self::MAX_SAMPLES),
            \count($changed),
            \count($samples),
        ));
    }

    private function isChanged(NumberingSample $sample): bool
    {
        return $sample->before !== $sample->after;
    }

    /** @return list<NumberingSample> combinations of the library before and after */
    private function samples(Numbering $before, Numbering $after): array
    {
        $samples = [];
        foreach ($this->chains->first(self::MAX_CHAINS) as $chain) {
            $inStance = $this->reader->readStored($chain->notation, $chain->stance);
            if (null !== $inStance) {
                $samples[] = new NumberingSample(
                    $chain->id,
                    $chain->name,
                    (new Writer($before))->write($inStance),
                    (new Writer($after))->write($inStance),
                );
            }
        }

        return $samples;
    }
}
