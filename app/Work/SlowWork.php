<?php

declare(strict_types=1);

namespace Periplus\App\Work;

/** Asks for the next part of something that takes longer than a request; its progress is in the database. */
abstract readonly class SlowWork
{
    /** How long one request of a page works on it, in s. */
    private const STEP_SECONDS = 0.6;

    final public function __construct(public int $id, public float $seconds = self::STEP_SECONDS)
    {
    }

    /** The same, to the end: a worker makes nobody wait. */
    public function toTheEnd(): static
    {
        return new static($this->id, \INF);
    }
}
