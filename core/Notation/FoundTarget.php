<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A target in a line of words. */
final readonly class FoundTarget
{
    /**
     * @param string $word a key of {@see Vocabulary::TARGETS}
     * @param int $next the place after it
     * @param bool $isOpen whether it could as well be the target of the next strike
     */
    public function __construct(public string $word, public int $next, public bool $isOpen)
    {
    }
}
