<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\HouseRules\Severity;

/** What coaches expect of one rule on a labelled chain: that it is reported, how heavily, or that it is not. */
final readonly class ExpectedFinding
{
    /**
     * @param string|null $rule id; null for all rules together
     * @param Severity|null $severity with which it is reported; null for any, Off when it must not be
     */
    private function __construct(public ?string $rule, public ?Severity $severity)
    {
    }

    /** Reads "range-jump", "range-jump=should", "-range-jump" or "no-fix". */
    public static function read(string $text): self
    {
        [$rule, $severity] = explode('=', $text) + [1 => null];

        return match (true) {
            'no-fix' === $text => new self(null, Severity::Off),
            '-' === $text[0] => new self(substr($text, 1), Severity::Off),
            default => new self($rule, null === $severity ? null : Severity::from($severity)),
        };
    }

    /** @param array<string, list<Severity>> $reported by the id of the rule */
    public function isMetBy(array $reported): bool
    {
        if (null === $this->rule) {
            return [] === array_filter(
                array_merge(...array_values($reported)),
                static fn (Severity $severity): bool => $severity->isAtLeast(Severity::Should),
            );
        }
        $severities = $reported[$this->rule] ?? [];

        return match ($this->severity) {
            Severity::Off => [] === $severities,
            null => [] !== $severities,
            default => \in_array($this->severity, $severities, true),
        };
    }

    public function words(): string
    {
        return match (true) {
            null === $this->rule => 'nothing worth fixing',
            Severity::Off === $this->severity => 'no '.$this->rule,
            null === $this->severity => $this->rule,
            default => $this->rule.' as '.$this->severity->value,
        };
    }
}
