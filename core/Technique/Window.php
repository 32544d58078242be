<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** A closed interval on one of the body's scales. */
final readonly class Window
{
    public function __construct(public float $from, public float $to)
    {
        if ($from > $to) {
            throw new \InvalidArgumentException(\sprintf('A window runs upward, not from %s to %s.', $from, $to));
        }
    }

    /** Returns how far a value is outside: negative below the window, 0 inside. */
    public function gap(float $value): float
    {
        if ($value < $this->from) {
            return $value - $this->from;
        }

        return $value > $this->to ? $value - $this->to : 0.0;
    }
}
