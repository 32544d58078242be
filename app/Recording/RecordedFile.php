<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\App\Store\Invalid;

use function Periplus\Core\Language\t;

/** What the content of a file says about it; its name and its announced type are not believed. */
final readonly class RecordedFile
{
    private const NOT_A_RECORDING = 'not-a-recording';
    /** No part of a file is read that takes more memory, in bytes, whatever it says of its size. */
    private const MAX_MEMORY = 67_108_864;

    private function __construct(
        public RecordingFormat $format,
        public RecordingKind $kind,
        public int $lengthMs,
    ) {
    }

    /**
     * Reads what a file holds.
     *
     * @param string $path of a file on this machine
     *
     * @throws Invalid when it is no video or sound that browsers play, or too long
     */
    public static function read(string $path): self
    {
        /**
         * @var array{
         *     fileformat?: string,
         *     error?: list<string>,
         *     playtime_seconds?: float|int,
         *     video?: array{dataformat?: string, ...},
         *     audio?: array{dataformat?: string, ...},
         *     ...,
         * } $found
         */
        $found = self::analyze($path);
        $format = RecordingFormat::tryFrom($found['fileformat'] ?? '');
        $isVideo = isset($found['video']['dataformat']);
        if (null === $format || isset($found['error']) || (!$isVideo && !isset($found['audio']['dataformat']))) {
            throw new Invalid(
                t('This is no video or sound that can be kept. Take one in WebM, MP4, WAV, MP3 or Ogg.'),
                type: self::NOT_A_RECORDING,
            );
        }
        $lengthMs = (int) round(1000 * ($found['playtime_seconds'] ?? 0));
        if ($lengthMs <= 0) {
            throw new Invalid(
                t('This file does not say how long it is. Cut it on this page, and it will.'),
                type: self::NOT_A_RECORDING,
            );
        }
        if ($lengthMs > Recordings::MAX_LENGTH_MS + Recordings::LENGTH_TOLERANCE_MS) {
            throw new Invalid(
                t(
                    'A recording lasts at most {most} s; this one lasts {seconds} s. Cut it first.',
                    most: Recordings::MAX_LENGTH_MS / 1000,
                    seconds: \sprintf('%.1f', $lengthMs / 1000),
                ),
                type: self::NOT_A_RECORDING,
            );
        }

        return new self($format, $isVideo ? RecordingKind::Video : RecordingKind::Sound, $lengthMs);
    }

    /** @return array<mixed> what getID3 finds */
    private static function analyze(string $path): array
    {
        $reader = new \getID3();
        $reader->memory_limit = self::MAX_MEMORY;
        $reader->option_tag_id3v1 = $reader->option_tag_id3v2 = $reader->option_tag_apetag = false;
        $reader->option_tag_lyrics3 = $reader->option_tags_process = $reader->option_tags_html = false;
        $reader->option_save_attachments = \getID3::ATTACHMENTS_NONE;
        try {
            // A damaged file makes it stumble, with warnings or errors of its own.
            return @$reader->analyze($path);
        } catch (\Error) {
            return [];
        }
    }
}
