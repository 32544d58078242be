<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Session\Drill\RoundStance;

use function Periplus\Core\Language\t;

/**
 * Reads one round: its work and rest, its sets, and what each track does in it.
 *
 * @internal to {@see PlanReader}
 */
final readonly class RoundReader
{
    private const MAX_ROUND_SECONDS = 7200;
    /** Limits for the lengths of a pattern, and for the windows it gives a track in one round. */
    private const MAX_PATTERN = 60;
    private const MAX_WINDOWS = 400;

    public function __construct(private SetReader $sets)
    {
    }

    public function read(PlanFields $fields, SessionPlan $plan): ?Round
    {
        $medium = $fields->has('medium') ? $fields->choice('medium', t('The medium'), $plan->medium) : $plan->medium;
        $stance = $fields->choice('stance', t('The stance'), RoundStance::Own);
        $purpose = $fields->has('purpose')
            ? $fields->choice('purpose', t('The purpose'), Purpose::Technique)
            : null;
        $sets = $fields->each(
            'sets',
            t('Sets'),
            SetReader::MAX_SETS,
            static fn (int $index): string => t('{place}, set {number}', place: $fields->where, number: $index + 1),
        );
        $seconds =
            $fields->optional('seconds', t('The work of a round in seconds'), 5, self::MAX_ROUND_SECONDS)
            ?? $this->sum($sets);
        if (null === $seconds) {
            $fields->problem(
                t('This round has no length. Give it seconds, or give them to each of its sets.'),
                'seconds',
            );

            return null;
        }
        $rest = $fields->whole('rest', t('The rest in seconds'), 0, 1800, 0);
        $times = $fields->raw('times');
        $times =
            \is_int($times) && $times > SessionPlan::MAX_ROUNDS
                ? $times
                : $fields->whole('times', t('How many times a round is done'), 1, SessionPlan::MAX_ROUNDS, 1);
        if (null !== $plan->minutes && $seconds > 60 * $plan->minutes) {
            $fields->problem(
                t(
                    'This round lasts {time}, and the session has {minutes} min.',
                    time: Duration::inWords($seconds),
                    minutes: $plan->minutes,
                ),
                'seconds',
                false,
            );
        }
        $tracks = $fields->each(
            'tracks',
            t('Tracks of a round'),
            PlanReader::MAX_TRACKS,
            static fn (int $index): string => t('{place}, track {number}', place: $fields->where, number: $index + 1),
        );
        if ([] === $sets && [] === $tracks) {
            $fields->problem(t('This round has no set yet. Drop a combination in, or choose a drill.'), 'sets', false);
        }
        $settings = new RoundSettings($plan, $medium, $stance, $purpose);
        // When every track has its own sets, the sets for everybody are not used and may be empty.
        $own = array_filter(
            $tracks,
            static fn (PlanFields $track): bool => \is_array($track->raw('sets')) && [] !== $track->raw('sets'),
        );
        $isUnused = [] !== $own && \count($own) >= \count($plan->tracks);
        $everybody = new Lane(
            [new Window(0, $seconds)],
            $isUnused ? [] : $this->sets($sets, $fields, $seconds, $settings),
        );
        $lanes = [];
        foreach ($tracks as $index => $track) {
            $number = $track->whole(
                'track',
                t('The track, counted from 0,'),
                0,
                max(0, \count($plan->tracks) - 1),
                $index,
            );
            if (!isset($plan->tracks[$number])) {
                $track->problem(t('The plan has no such track. Name its tracks first.'), 'track');
                continue;
            }
            $lanes[$number] = $this->lane($track, $settings->ofTrack($number), $seconds, $rest, $everybody, $sets);
        }
        ksort($lanes);

        return new Round(
            place: $fields->place,
            where: $fields->where,
            seconds: $seconds,
            rest: $rest,
            times: $times,
            stance: $stance,
            medium: $medium,
            purpose: $purpose,
            moves: $fields->flag('moves', false),
            lastTen: $fields->flag('lastTen', true),
            note: $fields->text('note', t('A note'), 1000),
            everybody: $everybody,
            lanes: $lanes,
        );
    }

    /** @param list<PlanFields> $common sets of everybody */
    private function lane(
        PlanFields $fields,
        RoundSettings $settings,
        int $seconds,
        int $rest,
        Lane $everybody,
        array $common,
    ): Lane {
        $windows = $this->pattern($fields, $settings, $seconds + $rest) ?? $everybody->windows;
        $lane = new Lane($windows, []);
        $own = $fields->each(
            'sets',
            t('Sets'),
            SetReader::MAX_SETS,
            static fn (int $index): string => t('{place}, set {number}', place: $fields->where, number: $index + 1),
        );

        return new Lane(
            $windows,
            $this->sets([] === $own ? $common : $own, $fields, $lane->work(), $settings),
        );
    }

    /**
     * Reads the pattern of a track: work, rest, work, rest.
     *
     * @param int $cycle s that it repeats in
     *
     * @return list<Window>|null its windows; null when it has none, or one that cannot be taken
     */
    private function pattern(PlanFields $fields, RoundSettings $settings, int $cycle): ?array
    {
        $name = null === $settings->track ? '' : $settings->plan->tracks[$settings->track]->name;
        $pattern = $fields->raw('pattern') ?? [];
        if (\is_array($pattern) && \count($pattern) > self::MAX_PATTERN) {
            $fields->problem(
                t('A pattern has at most {maxPattern} lengths.', maxPattern: self::MAX_PATTERN),
                'pattern',
            );
        } elseif (
            !\is_array($pattern)
            || !array_is_list($pattern)
            || [] !==
                array_filter(
                    $pattern,
                    static fn (mixed $length): bool => !\is_int($length)
                        || $length < 0
                        || $length > self::MAX_ROUND_SECONDS,
                )
        ) {
            $fields->problem(t('A pattern is a list of seconds: work, rest, work, rest.'), 'pattern');
        } elseif ([] !== $pattern) {
            /** @var list<int> $pattern */
            $sum = array_sum($pattern);
            if ($sum < 1 || 0 !== $cycle % $sum) {
                $fields->problem(
                    t(
                        'The pattern {pattern} of {name} is {sum} s long and does not fill the cycle of {cycle} s. '
                            .'Take one of which the cycle is a whole number of times.',
                        pattern: implode('/', $pattern),
                        name: $name,
                        sum: $sum,
                        cycle: $cycle,
                    ),
                    'pattern',
                );
            } elseif (\count($pattern) * intdiv($cycle, $sum) > 2 * self::MAX_WINDOWS) {
                $fields->problem(
                    t(
                        'The pattern {pattern} of {name} comes {cycle} times in a round. Make it longer.',
                        pattern: implode('/', $pattern),
                        name: $name,
                        cycle: number_format(intdiv($cycle, $sum)),
                    ),
                    'pattern',
                );
            } else {
                return $this->windows($pattern, intdiv($cycle, $sum));
            }
        }

        return null;
    }

    /**
     * @param list<int> $pattern
     *
     * @return list<Window>
     */
    private function windows(array $pattern, int $times): array
    {
        $windows = [];
        $offset = 0;
        for ($time = 0; $time < $times; ++$time) {
            foreach ($pattern as $place => $length) {
                if (0 === $place % 2 && $length > 0) {
                    $windows[] = new Window($offset, $offset + $length);
                }
                $offset += $length;
            }
        }

        return $windows;
    }

    /** @param list<PlanFields> $sets */
    private function sum(array $sets): ?int
    {
        $sum = 0;
        foreach ($sets as $set) {
            $seconds = $set->raw('seconds');
            if (!\is_int($seconds) || $seconds < 1) {
                return null;
            }
            $sum += $seconds;
        }

        return 0 === $sum ? null : min($sum, self::MAX_ROUND_SECONDS);
    }

    /**
     * @param list<PlanFields> $fields
     * @param int $work s that they fill
     *
     * @return list<Set>
     */
    private function sets(array $fields, PlanFields $round, int $work, RoundSettings $settings): array
    {
        $given = array_map(
            static fn (PlanFields $set): ?int => $set->optional(
                'seconds',
                t('The seconds of a set'),
                5,
                self::MAX_ROUND_SECONDS,
            ),
            $fields,
        );
        $sum = array_sum($given);
        $open = \count(array_filter($given, \is_null(...)));
        $left = $work - $sum;
        if ([] !== $given && ($left < 0 || ($left > 0 && 0 === $open))) {
            $round->problem(
                t(
                    'The sets last {sum} s together, and there are {work} s of work. Make them fit, or leave the '
                        .'seconds of one open.',
                    sum: $sum,
                    work: $work,
                ),
                'sets',
                false,
            );
        }
        $sets = [];
        $offset = 0;
        foreach ($fields as $number => $set) {
            $seconds = $given[$number];
            if (null === $seconds) {
                $share = intdiv(max(0, $left), $open);
                $seconds = 1 === $open ? max(0, $left) : $share;
                $left -= $seconds;
                --$open;
            }
            $seconds = min($seconds, max(0, $work - $offset));
            if ($seconds < 1) {
                $set->problem(t('No time is left for this set.'), 'seconds');
                continue;
            }
            $offset += $seconds;
            $read = $this->sets->read($set, $seconds, $settings);
            if (null !== $read) {
                $sets[] = $read;
            }
        }

        return $sets;
    }
}
