<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A number that means different strikes in two numberings. */
final readonly class NumberingDifference
{
    public function __construct(public string $number, public string $one, public string $other)
    {
    }
}
