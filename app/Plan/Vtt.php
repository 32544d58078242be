<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Session\Serializer\SessionDocument;

use function Periplus\Core\Language\t;

/**
 * Writes the cues of a session as WebVTT (W3C, WebVTT: The Web Video Text Tracks Format), for players to show beside a
 * recording.
 */
final class Vtt
{
    /** Maximum duration of a cue, in ms; it ends when the next cue of its track starts. */
    private const MAX_CUE_MS = 8000;

    /** @param string $name of the plan */
    public static function write(SessionDocument $document, string $name): string
    {
        $lines = ['WEBVTT '.self::text($name), ''];
        foreach ($document->cues as $index => $cue) {
            $until = $cue->atMs + self::MAX_CUE_MS;
            foreach (\array_slice($document->cues, $index + 1) as $next) {
                if ($next->track === $cue->track && $next->atMs > $cue->atMs) {
                    $until = min($until, $next->atMs);
                    break;
                }
            }
            $text = $cue->text;
            if ($cue->words['orthodox'] !== $cue->text) {
                $text .= "\northodox: {$cue->words['orthodox']}\nsouthpaw: {$cue->words['southpaw']}";
            }
            $lines[] = $cue->kind->value.'-'.$index;
            $lines[] = self::time($cue->atMs).' --> '.self::time($until);
            $lines[] =
                (null === $cue->track
                    ? ''
                    : '<v '.self::text($document->tracks[$cue->track]->name ?? t('Track')).'>')
                .self::lines($text);
            $lines[] = '';
        }

        return implode("\n", $lines);
    }

    /** An empty line would end the cue. */
    private static function lines(string $text): string
    {
        $lines = array_filter(
            array_map(self::text(...), explode("\n", $text)),
            static fn (string $line): bool => '' !== trim($line),
        );

        return [] === $lines ? '…' : implode("\n", $lines);
    }

    private static function time(int $ms): string
    {
        return \sprintf(
            '%02d:%02d:%02d.%03d',
            intdiv($ms, 3_600_000),
            intdiv($ms, 60_000) % 60,
            intdiv($ms, 1000) % 60,
            $ms % 1000,
        );
    }

    /** Returns the text on one line, with special characters escaped. */
    private static function text(string $text): string
    {
        return strtr((string) preg_replace('/\s+/u', ' ', $text), ['&' => '&amp;', '<' => '&lt;', '>' => '&gt;']);
    }
}
