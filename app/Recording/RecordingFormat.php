<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

/** The file formats that browsers record and play; the value is what getID3 calls them. */
enum RecordingFormat: string
{
    case Webm = 'webm';
    case Mp4 = 'mp4';
    case Wav = 'wav';
    case Mp3 = 'mp3';
    case Ogg = 'ogg';

    /** Returns the media type that a browser is told. */
    public function mediaType(RecordingKind $kind): string
    {
        return match ($this) {
            self::Webm => RecordingKind::Video === $kind ? 'video/webm' : 'audio/webm',
            self::Mp4 => RecordingKind::Video === $kind ? 'video/mp4' : 'audio/mp4',
            self::Wav => 'audio/wav',
            self::Mp3 => 'audio/mpeg',
            self::Ogg => 'audio/ogg',
        };
    }
}
