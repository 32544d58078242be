<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Flow\Timing\Verdict;

/** A counter that is ready after a defence. */
final readonly class CounterDocument
{
    public function __construct(
        public string $text,
        public string $words,
        public int $waitMs,
        public Verdict $verdict,
        public string $reason,
    ) {
    }
}
