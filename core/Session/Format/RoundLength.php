<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Format;

/** Work and rest of a round, in s. */
final readonly class RoundLength
{
    public function __construct(public int $seconds, public int $rest)
    {
    }
}
