<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Level;

/** How often something that makes a combination harder is there. */
final readonly class Occurrence
{
    /**
     * @param string $id as in core/data/level.json
     * @param string $message the same in words
     */
    public function __construct(public string $id, public float|int $count, public string $message)
    {
    }
}
