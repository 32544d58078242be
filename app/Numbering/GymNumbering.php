<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Notation\Numbering;

/** A numbering that the gym can use. */
final readonly class GymNumbering
{
    /** @param int|null $version null for a built-in one */
    public function __construct(public Numbering $numbering, public ?int $version)
    {
    }
}
