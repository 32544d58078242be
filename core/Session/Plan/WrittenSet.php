<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/**
 * A set as it was written, before its length is known.
 *
 * @internal to {@see RoundReader}
 */
final readonly class WrittenSet
{
    /**
     * @param int|null $seconds that it says; null for its share of the round
     * @param Set|null $set null when it cannot be done
     */
    public function __construct(public PlanFields $fields, public ?int $seconds, public ?Set $set)
    {
    }

    /** Returns its length in s: what it says, or what its repetitions take; null for its share. */
    public function length(): ?int
    {
        return $this->seconds ?? (0 === ($this->set->seconds ?? 0) ? null : $this->set?->seconds);
    }
}
