<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Serializer\SessionDocument;

/** Formats what follows from a plan as a short text. */
final class SessionText
{
    public static function format(SessionDocument $document): string
    {
        $lines = [
            \sprintf(
                '%s, %s',
                '' === $document->name ? 'Session' : $document->name,
                Duration::inWords(intdiv($document->lengthMs, 1000)),
            ),
        ];
        foreach ($document->tracks as $track) {
            $lines[] = \sprintf(
                '%s: %s of work, %s of rest',
                $track->name,
                Duration::inWords(intdiv($track->workMs, 1000)),
                Duration::inWords(intdiv($track->restMs, 1000)),
            );
            foreach ($track->load as $stance => $load) {
                $lines[] = \sprintf(
                    '  %s: %d strikes, %d left, %d right',
                    $stance,
                    round($load->strikes),
                    round($load->bySide['left']),
                    round($load->bySide['right']),
                );
            }
        }
        foreach ($document->problems as $problem) {
            $lines[] = $problem->where.': '.$problem->message;
        }
        foreach ($document->warnings as $warning) {
            $lines[] = $warning->message.' '.$warning->fix.'.';
        }
        foreach ($document->cues as $cue) {
            $lines[] = \sprintf(
                '%02d:%02d.%d  %-13s %s',
                intdiv($cue->atMs, 60_000),
                intdiv($cue->atMs, 1000) % 60,
                intdiv($cue->atMs % 1000, 100),
                $cue->kind->value,
                $cue->text,
            );
        }

        return implode("\n", $lines);
    }
}
