<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** What is wrong with a row of a numbering. */
final readonly class NumberingProblem
{
    /** @param bool $stops has to be corrected before it is saved */
    public function __construct(public int $row, public string $message, public bool $stops = true)
    {
    }
}
