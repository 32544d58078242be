<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** A defence against a strike. */
final readonly class DefenceDocument
{
    /** @param list<CounterDocument> $counters the soonest first */
    public function __construct(
        public string $text,
        public string $words,
        public string $why,
        public int $waitMs,
        public array $counters,
    ) {
    }
}
