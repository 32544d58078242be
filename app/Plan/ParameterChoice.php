<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** A value that a setting may have. */
final readonly class ParameterChoice
{
    public function __construct(public string $value, public string $label)
    {
    }
}
