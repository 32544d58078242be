<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

/** A part of a set that is done without a break. */
final readonly class Piece
{
    /**
     * @param int $set its place in the lane
     * @param int $from s of the round; $to as well
     * @param bool $begins whether the set begins here, or goes on after a rest
     */
    public function __construct(public int $set, public int $from, public int $to, public bool $begins)
    {
    }

    public function seconds(): int
    {
        return $this->to - $this->from;
    }
}
