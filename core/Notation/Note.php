<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** How the reader understood something that could be read in two ways. */
final readonly class Note
{
    public function __construct(public int $at, public int $length, public string $message)
    {
    }
}
