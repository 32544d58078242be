<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

/** The answer of a school. */
final readonly class SchoolAnswer
{
    public function __construct(public string $value, public string $label)
    {
    }
}
