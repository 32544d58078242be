<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\App\Store\Instant;

/** A recording as coaches see it. */
final readonly class ShownRecording
{
    /**
     * @param int|null $combination id of the combination that it shows
     * @param string|null $technique id of the strike or move that it shows
     * @param string $subject the name of either
     * @param bool $isThere whether its file is there; it may have been in no backup that was restored
     * @param bool $isOutdated whether the combination has changed since it was recorded
     * @param bool $mayChange whether the coach who asks may replace and delete it
     */
    public function __construct(
        public int $id,
        public ?int $combination,
        public ?string $technique,
        public string $subject,
        public RecordingKind $kind,
        public string $mediaType,
        public int $bytes,
        public int $lengthMs,
        public string $coach,
        public Instant $recordedAt,
        public bool $isThere,
        public bool $isOutdated,
        public bool $mayChange,
    ) {
    }
}
