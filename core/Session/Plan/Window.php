<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** A stretch of work in a round, in s from its start. */
final readonly class Window
{
    public function __construct(public int $from, public int $to)
    {
    }

    /** Returns the window with more time at a moment: it ends later, or starts later as a whole. */
    public function lengthened(int $offset, int $seconds): self
    {
        return new self(
            $this->from > $offset ? $this->from + $seconds : $this->from,
            $this->to > $offset ? $this->to + $seconds : $this->to,
        );
    }

    public function length(): int
    {
        return $this->to - $this->from;
    }
}
