<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Session\Drill\DrillFix;
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
    private const MAX_LAPS = 20;
    private const MAX_BREATH_SECONDS = 300;

    public function __construct(private SetReader $sets)
    {
    }

    public function read(PlanFields $fields, SessionPlan $plan): ?Round
    {
        $medium = $fields->has('medium') ? $fields->choice('medium', t('The medium'), $plan->medium) : $plan->medium;
        $stance = $fields->choice('stance', t('The stance'), RoundStance::Own);
        $purpose = $fields->purpose(null);
        $laps = new Laps(
            $fields->whole('laps', t('The laps'), 1, self::MAX_LAPS, 1),
            $fields->whole('breath', t('The breath between sets in seconds'), 0, self::MAX_BREATH_SECONDS, 0),
        );
        $settings = new RoundSettings(
            plan: $plan,
            medium: $medium,
            stance: $stance,
            tempo: $fields->tempo($plan->tempo),
            times: $this->times($fields),
            purpose: $purpose,
        );
        $tracks = $fields->each(
            'tracks',
            t('Tracks of a round'),
            PlanReader::MAX_TRACKS,
            static fn (int $index): string => t('{place}, track {number}', place: $fields->where, number: $index + 1),
        );
        // When every track has its own sets, those for everybody are not read and may be empty.
        $own = array_filter(
            $tracks,
            static fn (PlanFields $track): bool => \is_array($track->raw('sets')) && [] !== $track->raw('sets'),
        );
        $isUnused = [] !== $own && \count($own) >= \count($plan->tracks);
        $sets = $this->written($fields, $isUnused ? null : $settings);
        $seconds =
            $fields->optional('seconds', t('The work of a round in seconds'), 5, self::MAX_ROUND_SECONDS)
            ?? $this->sum($sets, $laps);
        if (null === $seconds) {
            $fields->problem(
                t('This round has no length. Give it seconds, or give them to each of its sets.'),
                'seconds',
            );

            return null;
        }
        $rest = $fields->whole('rest', t('The rest in seconds'), 0, 1800, 0);
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
        if ([] === $sets && [] === $tracks) {
            $fields->problem(t('This round has no set yet. Drop a combination in, or choose a drill.'), 'sets', false);
        }
        $everybody = $this->filled($isUnused ? [] : $sets, $fields, $settings, $seconds, $laps);
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
            $lanes[$number] = $this->lane(
                $track,
                $settings->ofTrack($number),
                $seconds,
                $rest,
                $laps,
                [] === $track->raw('sets') || !$track->has('sets') ? $fields : $track,
            );
        }
        ksort($lanes);

        return new Round(
            place: $fields->place,
            where: $fields->where,
            seconds: $seconds,
            rest: $rest,
            times: $settings->times,
            stance: $stance,
            medium: $medium,
            purpose: $purpose,
            moves: $fields->flag('moves', false),
            lastTen: $fields->flag('lastTen', true),
            note: $fields->text('note', t('A note'), 1000),
            everybody: $everybody,
            lanes: $lanes,
            name: trim($fields->text('name', t('The name of a round'), 80)),
            inRest: $this->inRest($fields, $settings, $rest),
        );
    }

    private function times(PlanFields $fields): int
    {
        $times = $fields->raw('times');

        return \is_int($times) && $times > SessionPlan::MAX_ROUNDS
            ? $times
            : $fields->whole('times', t('How many times a round is done'), 1, SessionPlan::MAX_ROUNDS, 1);
    }

    /** Reads what is done in the rest after the round. */
    private function inRest(PlanFields $round, RoundSettings $settings, int $rest): ?Set
    {
        $fields = $round->has('inRest')
            ? $round->child($round->raw('inRest'), 'inRest', t('{place}, in the rest', place: $round->where))
            : null;
        $set = null === $fields ? null : $this->sets->read($fields, $settings);
        if (null === $fields || null === $set) {
            return null;
        }
        if (!$set->drill->definition()->inRest) {
            $fields->problem(
                t(
                    '"{title}" is work. In a rest there is room for a demonstration, a talk or an exercise.',
                    title: $set->drill->definition()->title,
                ),
                'drill',
            );

            return null;
        }
        if (0 === $rest) {
            $fields->problem(
                t('This round has no rest, so what belongs in it never comes. Give it a rest.'),
                'seconds',
                false,
            );

            return null;
        }

        return $this->sets->lasting($set, $rest, $fields, $settings, true);
    }

    /** @param PlanFields $of the track, or the round when the track has no sets of its own */
    private function lane(
        PlanFields $fields,
        RoundSettings $settings,
        int $seconds,
        int $rest,
        Laps $laps,
        PlanFields $of,
    ): Lane {
        $windows = $this->pattern($fields, $settings, $seconds + $rest);

        return $this->filled($this->written($of, $settings), $fields, $settings, $seconds, $laps, $windows);
    }

    /**
     * @param RoundSettings|null $settings with which the sets are read; null for their lengths alone
     *
     * @return list<WrittenSet>
     */
    private function written(PlanFields $fields, ?RoundSettings $settings): array
    {
        return array_map(
            fn (PlanFields $set): WrittenSet => new WrittenSet(
                $set,
                $set->optional('seconds', t('The seconds of a set'), 5, self::MAX_ROUND_SECONDS),
                null === $settings ? null : $this->sets->read($set, $settings),
            ),
            $fields->each(
                'sets',
                t('Sets'),
                SetReader::MAX_SETS,
                static fn (int $index): string => t('{place}, set {number}', place: $fields->where, number: $index + 1),
            ),
        );
    }

    /**
     * Fills the work with the sets, as often as there are laps.
     *
     * @param list<WrittenSet> $written
     * @param list<Window>|null $pattern of work and rest of its own
     */
    private function filled(
        array $written,
        PlanFields $fields,
        RoundSettings $settings,
        int $seconds,
        Laps $laps,
        ?array $pattern = null,
    ): Lane {
        $breaths = null === $pattern ? $laps->breath * max(0, $laps->count * \count($written) - 1) : 0;
        $all = null === $pattern ? $seconds : (new Lane($pattern, []))->work();
        $work = max(0, $all - $breaths);
        if ($laps->count > 1 && 0 !== $work % $laps->count) {
            $fields->problem(
                t(
                    '{work} s of work cannot be shared by {laps} laps in whole seconds. Leave the length of the round '
                        .'open and give the sets theirs.',
                    work: $work,
                    laps: $laps->count,
                ),
                'laps',
                false,
                $this->asLongAsItsSets($seconds - $work % $laps->count),
            );
        }
        $sets = $laps->sets(
            $this->sets($written, $fields, intdiv($work, $laps->count), $settings, $laps),
            \count($written),
        );

        return new Lane($pattern ?? $laps->windows($sets, $seconds), $sets);
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

    private function asLongAsItsSets(int $seconds): DrillFix
    {
        return DrillFix::length(t('Make the round {time}', time: Duration::inWords($seconds)), $seconds);
    }

    /** @param list<WrittenSet> $sets */
    private function sum(array $sets, Laps $laps): ?int
    {
        $sum = 0;
        foreach ($sets as $set) {
            $seconds = $set->length();
            if (null === $seconds) {
                return null;
            }
            $sum += $seconds;
        }

        return 0 === $sum
            ? null
            : min($laps->seconds($sum, \count($sets)), self::MAX_ROUND_SECONDS);
    }

    /**
     * @param list<WrittenSet> $written
     * @param int $work s that they fill
     *
     * @return array<int, Set> those that can be done, by their place
     */
    private function sets(
        array $written,
        PlanFields $round,
        int $work,
        RoundSettings $settings,
        Laps $laps,
    ): array {
        $given = array_map(static fn (WrittenSet $set): ?int => $set->length(), $written);
        if (array_sum($given) !== $work) {
            // Repetitions that do not fill the work exactly get their share of it.
            $given = array_map(static fn (WrittenSet $set): ?int => $set->seconds, $written);
        }
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
                0 === $open && null === $settings->track
                    ? $this->asLongAsItsSets($laps->seconds($sum, \count($given)))
                    : null,
            );
        }
        $sets = [];
        $offset = 0;
        foreach ($written as $number => $set) {
            $seconds = $given[$number];
            if (null === $seconds) {
                $share = intdiv(max(0, $left), $open);
                $seconds = 1 === $open ? max(0, $left) : $share;
                $left -= $seconds;
                --$open;
            }
            $seconds = min($seconds, max(0, $work - $offset));
            if ($seconds < 1) {
                $set->fields->problem(t('No time is left for this set.'), 'seconds');
                continue;
            }
            $offset += $seconds;
            $done = null === $set->set
                ? null
                : $this->sets->lasting($set->set, $seconds, $set->fields, $settings);
            if (null !== $done) {
                $sets[$number] = $done;
            }
        }

        return $sets;
    }
}
