<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\App\Store\Invalid;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingReview;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

use function Periplus\Core\Language\t;

/** Translates a list of chains from one numbering to another; stores nothing. */
final readonly class TranslateController
{
    public function __construct(
        private Catalogue $catalogue,
        private GymNumberings $numberings,
        private Reader $reader,
    ) {
    }

    #[Route('/api/translate', methods: 'POST')]
    public function __invoke(#[MapRequestPayload(acceptFormat: 'json')] TranslateRequest $request): JsonResponse
    {
        $from = $this->numberings->named($request->from);
        $to = $this->numberings->named($request->to);
        $writer = new Writer($to);
        $lines = preg_split('/\R/u', $request->text);
        $lines = false === $lines ? [] : $lines;
        if (\count($lines) > TranslateRequest::MAX_LINES) {
            throw new Invalid(
                t('Translate at most {maxLines} lines at a time.', maxLines: TranslateRequest::MAX_LINES),
            );
        }
        $rows = [];
        foreach ($lines as $index => $line) {
            [$chain, $name] = array_map(trim(...), [...explode('#', $line, 2), '']);
            if ('' === $chain) {
                $rows[] = ['line' => $index + 1, 'text' => $line, 'written' => $line, 'problems' => [], 'notes' => []];
                continue;
            }
            $reading = $this->reader->read($chain, $from, $request->stance);
            $rows[] = [
                'line' => $index + 1,
                'text' => $line,
                'written' => null === $reading->chain
                        ? null
                        : $writer->write(new ChainInStance($reading->chain, $request->stance))
                            .('' === $name ? '' : ' # '.$name),
                'problems' => array_map(
                    static fn (ReadingProblem $problem): array => (array) $problem,
                    $reading->problems,
                ),
                'notes' => array_column($reading->notes, 'message'),
            ];
        }

        return new JsonResponse([
            'lines' => $rows,
            'differences' => (new NumberingReview($this->catalogue))->differences($from, $to),
        ]);
    }
}
