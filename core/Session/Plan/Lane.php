<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** What one track, or everybody, does in a round. */
final readonly class Lane
{
    /**
     * @param list<array{int, int}> $windows work from and to, in s from the start of the round
     * @param list<Set> $sets one after the other over the work; rests do not count
     */
    public function __construct(public array $windows, public array $sets)
    {
    }

    /** s */
    public function work(): int
    {
        return array_sum(array_map(static fn (array $window): int => $window[1] - $window[0], $this->windows));
    }
}
