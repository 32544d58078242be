<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\Voice;

/** What the check says about one chain. */
final readonly class Report
{
    /**
     * @param list<Finding> $findings those that must, then should, then hints, then credits; in the order of the chain within each
     * @param Verdict $linkVerdict the worst link alone
     * @param Verdict $verdict the worst link, or breaks when a finding at must holds
     */
    public function __construct(
        public Voice $voice,
        public Ledger $ledger,
        public Sway $sway,
        public array $findings,
        public Verdict $linkVerdict,
        public Verdict $verdict,
    ) {
    }
}
