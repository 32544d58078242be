<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A strike without a number. */
final readonly class NumberingGap
{
    public function __construct(public string $strike, public string $target)
    {
    }
}
