<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Plan\Track;

/** A programme as screens play it; docs/formats/wall.md describes every key. */
final readonly class WallDocument
{
    /**
     * @param list<string> $needs what is needed
     * @param list<Track> $tracks
     * @param list<int> $stretches moments, in ms, to which one may jump
     * @param list<int> $waits moments, in ms, at which the clock waits for the coach
     * @param list<WallSegment> $segments
     * @param list<WallCue> $opening announces the first work before the start
     * @param list<WallCue> $cues
     * @param list<Utterance> $said what the voice says, by its moments
     * @param list<WallChain> $chains
     */
    public function __construct(
        public string $name,
        public int $lengthMs,
        public array $needs,
        public array $tracks,
        public array $stretches,
        public array $waits,
        public array $segments,
        public array $opening,
        public array $cues,
        public array $said,
        public array $chains,
    ) {
    }
}
