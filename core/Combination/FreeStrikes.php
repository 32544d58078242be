<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Target;

/** Strikes that the athlete chooses, out of all or out of those named. */
final readonly class FreeStrikes implements Item
{
    public const MAX_COUNT = 12;
    /** Maximum number of strikes to choose from. */
    public const MAX_CHOICE = 6;

    /**
     * @param Target|null $target to which all of them go; null for any
     * @param list<StrikeItem> $choice the strikes to choose from, two or more; empty for all there are
     */
    public function __construct(
        public int $count,
        public ?Target $target = null,
        public Effort $effort = Effort::Plain,
        public array $choice = [],
    ) {
        if ($count < 1 || $count > self::MAX_COUNT) {
            throw InvalidChain::free($count);
        }
        if (1 === \count($choice) || \count($choice) > self::MAX_CHOICE || ([] !== $choice && null !== $target)) {
            throw InvalidChain::choice();
        }
    }

    public function with(Effort $effort): self
    {
        return new self($this->count, $this->target, $effort, $this->choice);
    }

    /** @param list<StrikeItem> $choice */
    public function outOf(array $choice): self
    {
        return new self($this->count, $this->target, $this->effort, $choice);
    }

    public function key(bool $withEffort = false): string
    {
        return '*'
            .([] === $this->choice ? '' : '('.self::keyOf($this->choice).')')
            .$this->count
            .$this->target?->value
            .($withEffort ? $this->effort->value : '');
    }

    /**
     * Returns a key that is the same in whatever order the strikes were named.
     *
     * @param list<StrikeItem> $choice
     */
    public static function keyOf(array $choice): string
    {
        $keys = array_map(static fn (StrikeItem $strike): string => $strike->key(), $choice);
        sort($keys);

        return implode(',', $keys);
    }

    public function name(): string
    {
        return 'free strikes';
    }

    public function role(): ?Role
    {
        return null;
    }

    public function changesStance(): bool
    {
        return false;
    }

    /** A named choice takes the mean of its strikes and the gap after each. */
    public function duration(Body $body): float
    {
        $each =
            [] === $this->choice
                ? $body->freeStrike
                : $body->gap
                    + array_sum(array_map(static fn (StrikeItem $item): int => $item->strike->out, $this->choice))
                    / \count($this->choice);

        return $this->count * $each;
    }

    public function accept(ItemVisitor $visitor): mixed
    {
        return $visitor->freeStrikes($this);
    }
}
