<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Reads a written plan (docs/formats/session.md). It does not stop at the first mistake: every problem has its place,
 * and everything that makes sense is in the plan.
 */
final class PlanReader
{
    private const MAX_BLOCKS = 40;
    private const MAX_SETS = 40;
    private const MAX_TRACKS = 6;
    private const MAX_ROUND_SECONDS = 7200;
    /** Limits for the lengths of a pattern, and for the windows it gives a track in one round. */
    private const MAX_PATTERN = 60;
    private const MAX_WINDOWS = 400;

    /** The gym's reminders and exercises. */
    public readonly Advice $advice;
    private readonly Reader $reader;
    /** @var array<string, CheckResult> checks that were made, by chain and medium */
    private array $checked = [];
    /** Number of cues of the rounds read so far. */
    private int $cues = 0;

    /**
     * @param array<string, HouseRules>|null $rules by id; the built-in sets when null
     * @param array<string, Numbering>|null $numberings by id; the built-in ones when null
     * @param Advice|null $advice of the gym; what ships when null
     */
    public function __construct(
        private readonly ?array $rules = null,
        private readonly ?array $numberings = null,
        ?Advice $advice = null,
    ) {
        $this->reader = Reader::builtIn();
        $this->advice = $advice ?? Advice::builtIn();
    }

    /** @param mixed $written JSON as it was decoded, objects as arrays */
    public function read(mixed $written): PlanReading
    {
        $this->checked = [];
        $this->cues = 0;
        $isObject = \is_array($written) && ([] === $written || !array_is_list($written));
        $fields = new PlanFields($isObject ? $written : [], '', t('The plan'));
        if (!$isObject) {
            $fields->problem(t('A plan is a JSON object with "blocks".'));
        }
        $rules = $this->rules ?? BuiltInHouseRules::all();
        $numberings = $this->numberings ?? Numbering::builtIn();
        $head = new SessionPlan(
            name: $fields->text('name', t('The name'), 120),
            minutes: $fields->optional('minutes', t('The length in minutes'), 1, SessionPlan::MAX_SECONDS / 60),
            rules: $this->named($fields, 'rules', $rules, 'all-limbs'),
            group: $fields->choice('group', t('The group'), Group::Open),
            medium: $fields->choice('medium', t('The medium'), Medium::Shadow),
            level: $fields->whole('level', t('The level'), 1, 3, 2),
            tempo: $fields->number('tempo', t('The tempo'), CheckOptions::FASTEST, CheckOptions::SLOWEST, 1.0),
            seed: $fields->whole('seed', t('The seed'), 0, 2_147_483_647, 1),
            numbering: $this->named($fields, 'numbering', $numberings, 'parity'),
            tracks: $this->tracks($fields),
            blocks: [],
        );
        $blocks = [];
        $rounds = 0;
        $writtenBlocks = $fields->each(
            'blocks',
            t('Blocks'),
            self::MAX_BLOCKS,
            static fn (int $index): string => t('Block {number}', number: $index + 1),
        );
        foreach ($writtenBlocks as $block) {
            $blocks[] = $this->block($block, $head, $rounds);
        }
        if ([] === $blocks && $isObject) {
            $fields->problem(t('There is no block yet. Add rounds, or a warm-up.'), 'blocks', false);
        }
        $plan = new SessionPlan(
            name: $head->name,
            minutes: $head->minutes,
            rules: $head->rules,
            group: $head->group,
            medium: $head->medium,
            level: $head->level,
            tempo: $head->tempo,
            seed: $head->seed,
            numbering: $head->numbering,
            tracks: $head->tracks,
            blocks: $blocks,
        );
        $seconds = self::seconds($plan);
        if ($seconds > SessionPlan::MAX_SECONDS) {
            $fields->problem(
                t(
                    'The session lasts {time}; at most {maxSeconds} h can be run. Remove rounds.',
                    time: self::time($seconds),
                    maxSeconds: SessionPlan::MAX_SECONDS / 3600,
                ),
                'blocks',
            );
        } elseif (null !== $plan->minutes && $seconds > 60 * $plan->minutes) {
            $fields->problem(
                t(
                    'The session lasts {time}, and there are {minutes} min: {time2} too long.',
                    time: self::time($seconds),
                    minutes: $plan->minutes,
                    time2: self::time($seconds - 60 * $plan->minutes),
                ),
                'minutes',
                false,
            );
        }

        return new PlanReading(
            $seconds > SessionPlan::MAX_SECONDS
                ? new SessionPlan(
                    name: $plan->name,
                    minutes: $plan->minutes,
                    rules: $plan->rules,
                    group: $plan->group,
                    medium: $plan->medium,
                    level: $plan->level,
                    tempo: $plan->tempo,
                    seed: $plan->seed,
                    numbering: $plan->numbering,
                    tracks: $plan->tracks,
                    blocks: [],
                )
                : $plan,
            $this->once($fields->problems()),
        );
    }

    /**
     * Drops repeated problems: shared parts are read once for each track.
     *
     * @param list<PlanProblem> $problems
     *
     * @return list<PlanProblem>
     */
    private function once(array $problems): array
    {
        $once = [];
        foreach ($problems as $problem) {
            $once[$problem->place.' '.$problem->message] ??= $problem;
        }

        return array_values($once);
    }

    /** Returns the length of the whole session, in s. */
    public static function seconds(SessionPlan $plan): int
    {
        $seconds = 0;
        foreach ($plan->blocks as $index => $block) {
            $rounds = array_merge(
                ...array_map(static fn (Round $round): array => array_fill(0, $round->times, $round), $block->rounds),
            );
            foreach ($rounds as $number => $round) {
                $isLast = $number === \count($rounds) - 1;
                $seconds += $isLast && [] === $round->lanes ? $round->seconds : $round->cycle();
            }
            $seconds += $index < \count($plan->blocks) - 1 ? $block->changeover : 0;
        }

        return $seconds;
    }

    /** Returns a time in words: 16 min, 1 min 30 s, 45 s. */
    public static function time(int $seconds): string
    {
        [$minutes, $rest] = [intdiv($seconds, 60), $seconds % 60];

        return implode(
            ' ',
            array_filter(
                [$minutes > 0 ? $minutes.' min' : '', $rest > 0 || 0 === $minutes ? $rest.' s' : ''],
                static fn (string $part): bool => '' !== $part,
            ),
        );
    }

    /** @param int $rounds that came before, repeats counted; counted on */
    private function block(PlanFields $fields, SessionPlan $plan, int &$rounds): Block
    {
        $kind = $fields->choice('kind', t('The kind of a block'), BlockKind::Rounds);
        $name = $fields->text('name', t('The name of a block'), 80);
        $name = '' === trim($name) ? $kind->title() : trim($name);
        $read = [];
        $writtenRounds = $fields->each(
            'rounds',
            t('Rounds'),
            SessionPlan::MAX_ROUNDS,
            static fn (int $index): string => t('{block}, round {number}', block: $name, number: $index + 1),
        );
        foreach ($writtenRounds as $round) {
            $done = $this->round($round, $plan);
            if (null !== $done && $rounds + $done->times > SessionPlan::MAX_ROUNDS) {
                $round->problem(
                    t(
                        'With this there are {rounds} rounds; at most {maxRounds} fit a session. Do it fewer times.',
                        rounds: number_format($rounds + $done->times),
                        maxRounds: SessionPlan::MAX_ROUNDS,
                    ),
                    'times',
                );
            } elseif (null !== $done && $this->fits($done, $round, $plan)) {
                $rounds += $done->times;
                $read[] = $done;
            }
        }
        if ([] === $read && [] === (array) $fields->raw('rounds')) {
            $fields->problem(
                t('"{name}" has no round yet. Add one, or remove the block.', name: $name),
                'rounds',
                false,
            );
        }

        return new Block(
            $fields->place,
            $kind,
            $name,
            $read,
            $fields->whole('changeover', t('The changeover'), 0, 1800, 0),
        );
    }

    /** Tells whether the session has room for the cues of this round; otherwise reports the round. */
    private function fits(Round $round, PlanFields $fields, SessionPlan $plan): bool
    {
        $cues = CueCount::estimate($round, $plan);
        if ($this->cues + $cues > SessionPlan::MAX_CUES) {
            $fields->problem(
                t(
                    'With this round the session has about {cues} calls and signs; at most {maxCues} can be run. '
                        .'Call less often, or do it fewer times.',
                    cues: number_format($this->cues + $cues),
                    maxCues: number_format(SessionPlan::MAX_CUES),
                ),
                'sets',
            );

            return false;
        }
        $this->cues += $cues;

        return true;
    }

    private function round(PlanFields $fields, SessionPlan $plan): ?Round
    {
        $medium = $fields->has('medium') ? $fields->choice('medium', t('The medium'), $plan->medium) : $plan->medium;
        $stance = $fields->choice('stance', t('The stance'), RoundStance::Own);
        $sets = $fields->each(
            'sets',
            t('Sets'),
            self::MAX_SETS,
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
                    time: self::time($seconds),
                    minutes: $plan->minutes,
                ),
                'seconds',
                false,
            );
        }
        $tracks = $fields->each(
            'tracks',
            t('Tracks of a round'),
            self::MAX_TRACKS,
            static fn (int $index): string => t('{place}, track {number}', place: $fields->where, number: $index + 1),
        );
        if ([] === $sets && [] === $tracks) {
            $fields->problem(t('This round has no set yet. Drop a combination in, or choose a drill.'), 'sets', false);
        }
        $everybody = new Lane([[0, $seconds]], $this->sets($sets, $fields, $seconds, $plan, $medium, $stance, null));
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
            $lanes[$number] = $this->lane($track, $plan, $seconds, $rest, $medium, $stance, $number, $everybody, $sets);
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
            moves: $fields->flag('moves', false),
            lastTen: $fields->flag('lastTen', true),
            note: $fields->text('note', 'A note', 1000),
            everybody: $everybody,
            lanes: $lanes,
        );
    }

    /** @param list<PlanFields> $common sets of everybody */
    private function lane(
        PlanFields $fields,
        SessionPlan $plan,
        int $seconds,
        int $rest,
        Medium $medium,
        RoundStance $stance,
        int $track,
        Lane $everybody,
        array $common,
    ): Lane {
        $name = $plan->tracks[$track]->name;
        $pattern = $fields->raw('pattern') ?? [];
        $windows = $everybody->windows;
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
            $cycle = $seconds + $rest;
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
                $windows = $this->windows($pattern, intdiv($cycle, $sum));
            }
        }
        $lane = new Lane($windows, []);
        $own = $fields->each(
            'sets',
            t('Sets'),
            self::MAX_SETS,
            static fn (int $index): string => t('{place}, set {number}', place: $fields->where, number: $index + 1),
        );

        return new Lane(
            $windows,
            $this->sets([] === $own ? $common : $own, $fields, $lane->work(), $plan, $medium, $stance, $track),
        );
    }

    /**
     * @param list<int> $pattern
     *
     * @return list<array{int, int}>
     */
    private function windows(array $pattern, int $times): array
    {
        $windows = [];
        $offset = 0;
        for ($time = 0; $time < $times; ++$time) {
            foreach ($pattern as $place => $length) {
                if (0 === $place % 2 && $length > 0) {
                    $windows[] = [$offset, $offset + $length];
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
    private function sets(
        array $fields,
        PlanFields $round,
        int $work,
        SessionPlan $plan,
        Medium $medium,
        RoundStance $stance,
        ?int $track,
    ): array {
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
            $read = $this->set($set, $seconds, $plan, $medium, $stance, $track);
            if (null !== $read) {
                $sets[] = $read;
            }
        }

        return $sets;
    }

    private function set(
        PlanFields $fields,
        int $seconds,
        SessionPlan $plan,
        Medium $medium,
        RoundStance $stance,
        ?int $track,
    ): ?Set {
        $id = $fields->text('drill', t('The drill'), 40, 'repeat');
        $drill = DrillRegistry::named($id);
        if (null === $drill) {
            $fields->problem(
                t(
                    'There is no drill "{id}"; there is {all}.',
                    id: mb_strimwidth($id, 0, 40, '…'),
                    all: implode(', ', array_keys(DrillRegistry::all())),
                ),
                'drill',
            );

            return null;
        }
        $definition = $drill->definition();
        $given = $fields->child($fields->raw('parameters') ?? [], 'parameters', $fields->where.', parameters');
        $values = null === $given ? [] : (array) $fields->raw('parameters');
        [$parameters, $wrong] = Parameters::read($definition->parameters, $values);
        foreach ($wrong as $name => $sentence) {
            $fields->problem($sentence, 'parameters.'.$name, false);
        }
        $combinations = $this->combinations($fields, $plan, $medium);
        [$least, $most] = $definition->combinations;
        $count = \count($combinations);
        if ($count < $least || $count > $most) {
            $isEmpty = [] === (array) $fields->raw('combinations');
            // Unreadable combinations were reported already.
            $isSaid = !$isEmpty && $count < $least;
            if ($isSaid && \count((array) $fields->raw('combinations')) >= $least) {
                return null;
            }
            $fields->problem(
                $isEmpty
                    ? t(
                        'This set is empty. "{title}" asks for {asks}: drop one in, or type it.',
                        title: $definition->title,
                        asks: $definition->asks(),
                    )
                    : t(
                        '"{title}" asks for {asks}; {count, plural, one {there is #} other {there are #}}.',
                        title: $definition->title,
                        asks: $definition->asks(),
                        count: $count,
                    ),
                'combinations',
            );

            return null;
        }
        $run = new DrillRun(
            combinations: $combinations,
            parameters: $parameters,
            seconds: $seconds,
            options: $plan->options($medium),
            numbering: $plan->numbering,
            level: $plan->level($track),
            stance: $stance,
            advice: $this->advice,
        );
        foreach ($drill->problems($run) as $problem) {
            $fields->problem($problem->message, $problem->field, $problem->stops);
            if ($problem->stops) {
                return null;
            }
        }

        return new Set(
            place: $fields->place,
            where: $fields->where,
            drill: $drill,
            seconds: $seconds,
            combinations: $combinations,
            parameters: $parameters,
            note: $fields->text('note', 'A note', 1000),
        );
    }

    /** @return list<PlannedCombination> those that can be read */
    private function combinations(PlanFields $fields, SessionPlan $plan, Medium $medium): array
    {
        $list = $fields->raw('combinations') ?? [];
        if (!\is_array($list) || !array_is_list($list) || \count($list) > self::MAX_SETS) {
            $fields->problem(
                t('Combinations are a list of at most {maxSets}.', maxSets: self::MAX_SETS),
                'combinations',
            );

            return [];
        }
        $combinations = [];
        foreach ($list as $index => $written) {
            $combination = $this->combination($written, $fields, "combinations[$index]", $plan, $medium);
            if (null !== $combination) {
                $combinations[] = $combination;
            }
        }

        return $combinations;
    }

    private function combination(
        mixed $written,
        PlanFields $set,
        string $field,
        SessionPlan $plan,
        Medium $medium,
    ): ?PlannedCombination {
        $fields = $set->child(\is_string($written) ? ['chain' => $written] : $written, $field, $set->where);
        if (null === $fields) {
            return null;
        }
        $text = $fields->text('chain', 'A chain', Reader::MAX_LENGTH);
        $stance = $fields->choice('stance', t('The stance'), Stance::Orthodox);
        $reading = $this->reader->read($text, $plan->numbering, $stance);
        if (null === $reading->chain) {
            $fields->problem(
                t('"{text}": {value}', text: mb_strimwidth($text, 0, 60, '…'), value: $reading->problems[0]->message),
            );

            return null;
        }
        $inStance = new ChainInStance($reading->chain, $stance);
        $breaks = $this->breaks($text, $inStance, $plan->options($medium));
        if (null !== $breaks) {
            $fields->problem(
                t('{text} breaks. {breaks}', text: mb_strimwidth($text, 0, 60, '…'), breaks: $breaks),
                stops: false,
            );
        }
        $name = $fields->text('name', t('The name'), 120);

        return new PlannedCombination(
            $text,
            $inStance,
            '' === $name ? null : $name,
            $fields->optional('id', t('The number of a combination'), 1, 2_147_483_647),
            $fields->optional('version', t('The version of a combination'), 1, 2_147_483_647),
        );
    }

    /** @return string|null why it breaks; null when it does not */
    private function breaks(string $text, ChainInStance $inStance, CheckOptions $options): ?string
    {
        $result = $this->checked[
            $options->medium->value.$inStance->stance->value.' '.$text
        ] ??= Check::builtIn()->run($inStance, $options);
        if (Verdict::Breaks !== $result->verdict) {
            return null;
        }
        $links = array_filter(
            $result->timing->links,
            static fn (Link $link): bool => Verdict::Breaks === $link->verdict,
        );
        foreach ($result->findings as $finding) {
            if (Severity::Must === $finding->severity && [] === $links) {
                return $finding->message;
            }
        }
        $link = reset($links);

        return false === $link ? t('Review it on the bench.') : $result->timing->reason($link);
    }

    /** @return list<Track> */
    private function tracks(PlanFields $fields): array
    {
        return array_map(
            static fn (PlanFields $track): Track => new Track(
                $track->text('name', t('The name of a track'), 40, $track->where),
                $track->whole('level', t('The level'), 1, 3, 2),
            ),
            $fields->each(
                'tracks',
                t('Tracks'),
                self::MAX_TRACKS,
                static fn (int $index): string => t('Track {number}', number: $index + 1),
            ),
        );
    }

    /**
     * @template T
     *
     * @param array<string, T> $all
     *
     * @return T
     */
    private function named(PlanFields $fields, string $field, array $all, string $usual): mixed
    {
        $id = $fields->text($field, '"'.$field.'"', 40, $usual);
        if (!isset($all[$id])) {
            $fields->problem(
                t(
                    'There is no "{id}" in "{field}"; there is {all}.',
                    id: mb_strimwidth($id, 0, 40, '…'),
                    field: $field,
                    all: implode(', ', array_keys($all)),
                ),
                $field,
            );
        }

        return $all[$id] ?? $all[$usual] ?? throw new \LogicException('The usual one is always there.');
    }
}
