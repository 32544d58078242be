<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

/** A combination that a segment drills. */
final readonly class WallCombination
{
    public function __construct(public ?string $name, public ?int $id, public string $text)
    {
    }
}
