<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

/** The edges of what is drawn, in cm. */
final readonly class Edges
{
    public function __construct(public float $left, public float $top, public float $right, public float $bottom)
    {
    }

    public function width(): float
    {
        return $this->right - $this->left;
    }

    public function height(): float
    {
        return $this->bottom - $this->top;
    }

    /** Returns the edges of both. */
    public function with(self $other): self
    {
        return new self(
            min($this->left, $other->left),
            min($this->top, $other->top),
            max($this->right, $other->right),
            max($this->bottom, $other->bottom),
        );
    }
}
