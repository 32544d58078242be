<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

/** A recording as screens and phones play it; it names no coach. */
final readonly class PlayedRecording
{
    /**
     * @param string $file names its content, so that a device knows whether it has it already
     * @param string|null $technique name of the strike or move that it shows; null for the whole combination
     */
    public function __construct(
        public int $id,
        public string $file,
        public RecordingKind $kind,
        public string $mediaType,
        public int $lengthMs,
        public ?string $technique,
    ) {
    }
}
