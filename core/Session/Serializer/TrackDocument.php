<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

/** The work of a track. */
final readonly class TrackDocument
{
    /** @param array<string, LoadDocument> $load by the athlete's stance */
    public function __construct(
        public string $name,
        public ?int $level,
        public int $workMs,
        public int $restMs,
        public array $load,
    ) {
    }
}
