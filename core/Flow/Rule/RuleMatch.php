<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

use Periplus\Core\HouseRules\Severity;

/** A place where a rule applies, with one sentence. Severity is assigned by the house rules. */
final readonly class RuleMatch
{
    /**
     * @param int|null $at place of the item, or null for the whole chain
     * @param bool $heavier whether it weighs a step more here than the house rules say: a should is a must
     * @param bool $onlyTip whether it is at most a tip here, whatever the house rules say
     */
    public function __construct(
        public ?int $at,
        public string $message,
        public bool $heavier = false,
        public bool $onlyTip = false,
    ) {
    }

    /**
     * Returns how serious it is here.
     *
     * @param bool $matters whether it matters to the purpose of the round
     */
    public function weighed(Severity $severity, bool $matters = true): Severity
    {
        return match (true) {
            ($this->onlyTip || !$matters) && $severity->isAtLeast(Severity::Hint) => Severity::Hint,
            $this->heavier => $severity->heavier(),
            default => $severity,
        };
    }
}
