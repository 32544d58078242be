<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\Flow\Timing\Verdict;

/** A chain with the verdicts that experienced coaches expect for its links. */
final readonly class LabelledChain
{
    /**
     * @param string $notation canonical
     * @param string $rules id of the built-in house rules
     * @param list<Verdict> $verdicts any of which is right
     * @param list<string> $findings ids of rules that have to be reported
     */
    public function __construct(
        public string $notation,
        public string $rules,
        public array $verdicts,
        public array $findings,
    ) {
    }

    public function agrees(Verdict $verdict): bool
    {
        return \in_array($verdict, $this->verdicts, true);
    }
}
