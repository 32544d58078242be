<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

use Periplus\Core\Session\Plan\TimeCall;
use Periplus\Core\Session\Plan\Window;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Programme\SegmentKind;

use function Periplus\Core\Language\t;

/** The times that are called in the work and the rests that everybody shares. */
final readonly class TimesCalled
{
    /** Work and rest have to be this many times as long as what is left when a time is called. */
    private const SHORTEST = 2;

    /**
     * @param list<TimeCall> $calls
     * @param bool $perSet whether each set is called by itself
     *
     * @return list<Utterance> by their moments
     */
    public static function of(Programme $programme, array $calls, bool $perSet): array
    {
        $times = [];
        [$work, $rests] = self::stretches($programme, $perSet);
        foreach ($work as $stretch) {
            array_push($times, ...self::ofWork($stretch, $calls));
        }
        foreach ($rests as $stretch) {
            array_push($times, ...self::ofRest($stretch, $calls));
        }
        usort($times, static fn (Utterance $one, Utterance $other): int => $one->atMs <=> $other->atMs);

        return $times;
    }

    /** @return array{list<Window>, list<Window>} work and rests, in ms */
    private static function stretches(Programme $programme, bool $perSet): array
    {
        $work = $rests = [];
        $before = null;
        foreach ($programme->segments as $segment) {
            // What only some do would be called to all.
            if (null !== $segment->track) {
                $before = null;
                continue;
            }
            if (SegmentKind::Rest === $segment->kind || SegmentKind::Changeover === $segment->kind) {
                $rests[] = new Window($segment->fromMs, $segment->toMs);
            } elseif (SegmentKind::Work === $segment->kind) {
                // Exercises have a time of their own each, as the wall shows it.
                $goesOn = !$perSet
                    && [] !== $work
                    && !self::isExercise($segment)
                    && !self::isExercise($before)
                    && SegmentKind::Work === $before?->kind
                    && $before->place->round === $segment->place->round
                    && $before->place->repeat === $segment->place->repeat;
                $from = $goesOn ? $work[\count($work) - 1]->from : $segment->fromMs;
                if ($goesOn) {
                    array_pop($work);
                }
                $work[] = new Window($from, $segment->toMs);
            }
            $before = $segment;
        }

        return [$work, $rests];
    }

    private static function isExercise(?Segment $segment): bool
    {
        return 'exercise' === $segment?->set?->drill->definition()->id;
    }

    /**
     * @param list<TimeCall> $calls
     *
     * @return list<Utterance>
     */
    private static function ofWork(Window $work, array $calls): array
    {
        $times = [];
        foreach ($calls as $call) {
            $left = match ($call) {
                TimeCall::Half => intdiv($work->length(), 2),
                TimeCall::Minute => 60_000,
                TimeCall::Thirty => 30_000,
                TimeCall::Fifteen => 15_000,
                TimeCall::Ten => 10_000,
                TimeCall::CountOut => 3000,
                TimeCall::CountIn, TimeCall::Ready => 0,
            };
            if ($left < 3000 || $work->length() < self::SHORTEST * $left || 20_000 > $work->length()) {
                continue;
            }
            array_push($times, ...(TimeCall::CountOut === $call
                ? self::countDown($work->to)
                : [new Utterance($work->to - $left, self::words($call))]));
        }

        return $times;
    }

    /**
     * @param list<TimeCall> $calls
     *
     * @return list<Utterance>
     */
    private static function ofRest(Window $rest, array $calls): array
    {
        return [
            ...(\in_array(TimeCall::Ready, $calls, true) && $rest->length() >= 20_000
                ? [new Utterance($rest->to - 14_000, self::words(TimeCall::Ready))]
                : []),
            ...(\in_array(TimeCall::CountIn, $calls, true) && $rest->length() >= 10_000
                ? self::countDown($rest->to)
                : []),
        ];
    }

    /** @return list<Utterance> */
    private static function countDown(int $toMs): array
    {
        return [
            new Utterance($toMs - 3000, t('three')),
            new Utterance($toMs - 2000, t('two')),
            new Utterance($toMs - 1000, t('one')),
        ];
    }

    private static function words(TimeCall $call): string
    {
        return match ($call) {
            TimeCall::Half => t('half time'),
            TimeCall::Minute => t('last minute'),
            TimeCall::Thirty => t('thirty seconds'),
            TimeCall::Fifteen => t('fifteen seconds'),
            TimeCall::Ten => t('ten seconds'),
            TimeCall::Ready => t('get ready'),
            TimeCall::CountIn, TimeCall::CountOut => '',
        };
    }
}
