<?php

declare(strict_types=1);

namespace Periplus\App\Run;

/** A cue of a stored programme. */
final readonly class PlayedCue
{
    public function __construct(
        public string $key,
        public string $kind,
        public string $text,
        public bool $stands,
        public ?int $track,
    ) {
    }
}
