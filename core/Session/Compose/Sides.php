<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** Strikes with the left and the right of an orthodox athlete. */
final readonly class Sides
{
    public function __construct(public float $left = 0.0, public float $right = 0.0)
    {
    }

    public function plus(float $left, float $right): self
    {
        return new self($this->left + $left, $this->right + $right);
    }

    /** Returns what they are in the other stance. */
    public function flipped(): self
    {
        return new self($this->right, $this->left);
    }

    /** Returns the share of the heavier side; a half when there is no strike. */
    public function share(): float
    {
        $all = $this->left + $this->right;

        return $all > 0.0 ? max($this->left, $this->right) / $all : 0.5;
    }
}
