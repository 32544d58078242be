<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Programme\Programme;

/** Writes what the room hears as a script with times: "+1:05.0  voice  next: one two". */
final class HeardScript
{
    public static function write(Programme $programme, VoiceStyle $style): string
    {
        $lines = [];
        foreach ($programme->cues as $cue) {
            $sound = Sound::of($cue->kind);
            if (null !== $sound) {
                $lines[] = [$cue->atMs, 0, strtr($sound->value, '-', ' ')];
            }
        }
        foreach (Script::of($programme, $style) as $said) {
            $lines[] = [$said->atMs, 1, 'voice  '.$said->text];
        }
        sort($lines);

        return implode("\n", array_unique(array_map(
            static fn (array $line): string => self::time($line[0]).'  '.$line[2],
            $lines,
        )));
    }

    private static function time(int $ms): string
    {
        $tenths = intdiv(abs($ms), 100);

        return \sprintf(
            '%s%d:%02d.%d',
            $ms < 0 ? '-' : '+',
            intdiv($tenths, 600),
            intdiv($tenths, 10) % 60,
            $tenths % 10,
        );
    }
}
