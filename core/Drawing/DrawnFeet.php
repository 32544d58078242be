<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** The feet from above: a pair at the start, and at each item that moves or turns them, with where they were. */
final readonly class DrawnFeet
{
    /**
     * @param string $sole path of a left sole
     * @param list<DrawnPair> $pairs
     */
    public function __construct(public int $y, public string $sole, public array $pairs)
    {
    }
}
