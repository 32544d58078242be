<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Check;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;

/** The result of a check of one chain. */
final readonly class CheckResult
{
    /**
     * @param list<Finding> $findings those that must, then should, then hints, then credits; in the order of the chain
     *                                within each
     * @param Verdict $linkVerdict the worst link alone
     * @param Verdict $verdict the worst link, or breaks when a finding at must holds
     */
    public function __construct(
        public ChainInStance $inStance,
        public ChainTiming $timing,
        public Sway $sway,
        public array $findings,
        public Verdict $linkVerdict,
        public Verdict $verdict,
    ) {
    }

    /** @return array<string, int> how often and how heavily each finding that is no credit holds, by id */
    public function weights(): array
    {
        $weights = [];
        foreach ($this->findings as $finding) {
            $weight = match ($finding->severity) {
                Severity::Must => 100,
                Severity::Should => 10,
                Severity::Hint => 1,
                Severity::Off, Severity::Credit => 0,
            };
            $weights[$finding->id] = ($weights[$finding->id] ?? 0) + $weight;
        }

        return $weights;
    }
}
