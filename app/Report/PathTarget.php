<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** The combination that a path leads to. */
final readonly class PathTarget
{
    public function __construct(public int $id, public string $name, public string $text)
    {
    }
}
