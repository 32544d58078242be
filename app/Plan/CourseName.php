<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** A course as answers name it. */
final readonly class CourseName
{
    public function __construct(public int $id, public string $name)
    {
    }
}
