<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** How the reader understood an ambiguous phrase. */
final readonly class Note
{
    /**
     * @param list<string> $choices texts that may stand in its place, each of which can be read in one way; empty where
     *                              one reading alone is likely
     */
    public function __construct(public int $at, public int $length, public string $message, public array $choices = [])
    {
    }
}
