<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Report;
use Periplus\Core\Flow\Verdict;
use Periplus\Core\Notation\Words;

/** What the library keeps of a check, so that it can be filtered without checking again. */
final readonly class Checked
{
    private function __construct(
        public Fingerprint $fingerprint,
        public Verdict $verdict,
        public int $lengthMs,
        public string $words,
        public string $weapons,
    ) {
    }

    public static function of(Report $report): self
    {
        $chain = $report->voice->chain;
        $limbs = array_unique(array_map(static fn (StrikeItem $item): string => $item->strike->limb->value, $chain->strikes()));

        return new self(
            Fingerprint::of($chain),
            $report->verdict,
            (int) round($report->ledger->length()),
            Words::byRole()->write($report->voice),
            ','.implode(',', $limbs).',',
        );
    }
}
