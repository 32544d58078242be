<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;

/** A chain with the verdicts that experienced coaches expect for its links, and what they expect of the rules. */
final readonly class LabelledChain
{
    /**
     * @param string $notation canonical
     * @param string $rules id of the built-in house rules
     * @param list<Verdict> $verdicts any of which is right
     * @param list<ExpectedFinding> $findings
     */
    public function __construct(
        public string $notation,
        public string $rules,
        public array $verdicts,
        public array $findings,
        public Medium $medium,
        public Group $group,
    ) {
    }

    /** Reads the chain; it is read once. */
    public function chain(): Chain
    {
        static $read = null;
        /** @var \WeakMap<self, Chain> $known */
        $known = $read ??= new \WeakMap();
        $known[$this] ??= Reader::builtIn()->readStored($this->notation, Stance::Orthodox)->chain
            ?? throw new \LogicException('A labelled chain cannot be read: '.$this->notation);

        return $known[$this];
    }

    public function agrees(Verdict $verdict): bool
    {
        return \in_array($verdict, $this->verdicts, true);
    }
}
