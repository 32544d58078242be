<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Technique\Medium;

use function Periplus\Core\Language\t;

/**
 * Reads a written plan (docs/formats/session.md). It does not stop at the first mistake: every problem has its place,
 * and everything that makes sense is in the plan.
 */
final class PlanReader
{
    private const MAX_BLOCKS = 40;
    public const MAX_TRACKS = 6;
    /** What counts where a plan says nothing. */
    public const RULES = 'all-limbs';
    public const GROUP = Group::Open;
    public const MEDIUM = Medium::Shadow;
    public const LEVEL = 2;
    public const TEMPO = 1.0;
    public const SEED = 1;
    public const NUMBERING = 'parity';
    public const DRILL = 'repeat';

    /** The gym's reminders and exercises. */
    public readonly Advice $advice;
    public readonly Reader $lines;
    /** Number of cues of the rounds read so far. */
    private int $cues = 0;

    /**
     * @param array<string, HouseRules>|null $rules by id; the built-in sets when null
     * @param array<string, Numbering>|null $numberings by id; the built-in ones when null
     * @param Advice|null $advice of the gym; what ships when null
     * @param Reader|null $reader of typed lines; what ships when null
     * @param (\Closure(): list<string>)|null $themes of the gym's library, read when they are needed; any word is one
     *                                                when null
     */
    public function __construct(
        private readonly ?array $rules = null,
        private readonly ?array $numberings = null,
        ?Advice $advice = null,
        ?Reader $reader = null,
        private readonly ?\Closure $themes = null,
    ) {
        $this->lines = $reader ?? Reader::builtIn();
        $this->advice = $advice ?? Advice::builtIn();
    }

    /** @param mixed $written JSON as it was decoded, objects as arrays */
    public function read(mixed $written): PlanReading
    {
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
            rules: $this->named($fields, 'rules', $rules, self::RULES),
            group: $fields->choice('group', t('The group'), self::GROUP),
            medium: $fields->choice('medium', t('The medium'), self::MEDIUM),
            level: $fields->whole('level', t('The level'), 1, 3, self::LEVEL),
            tempo: $fields->tempo(self::TEMPO),
            seed: $fields->whole('seed', t('The seed'), 0, 2_147_483_647, self::SEED),
            numbering: $this->named($fields, 'numbering', $numberings, self::NUMBERING),
            tracks: $this->tracks($fields),
            blocks: [],
            needs: $fields->text('needs', t('What is needed'), 300),
            timeCalls: $this->timeCalls($fields),
        );
        $roundReader = new RoundReader(
            new SetReader($this->advice, new CombinationReader($this->lines), $this->themes),
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
            $blocks[] = $this->block($block, $roundReader, $head, $rounds);
        }
        if ([] === $blocks && $isObject) {
            $fields->problem(t('There is no block yet. Add rounds, or a warm-up.'), 'blocks', false);
        }
        $plan = $head->withBlocks($blocks);
        $seconds = $plan->seconds();
        if ($seconds > SessionPlan::MAX_SECONDS) {
            $fields->problem(
                t(
                    'The session lasts {time}; at most {maxSeconds} h can be run. Remove rounds.',
                    time: Duration::inWords($seconds),
                    maxSeconds: SessionPlan::MAX_SECONDS / 3600,
                ),
                'blocks',
            );
        } elseif (null !== $plan->minutes && $seconds > 60 * $plan->minutes) {
            $fields->problem(
                t(
                    'The session lasts {time}, and there are {minutes} min: {time2} too long.',
                    time: Duration::inWords($seconds),
                    minutes: $plan->minutes,
                    time2: Duration::inWords($seconds - 60 * $plan->minutes),
                ),
                'minutes',
                false,
            );
        }

        return new PlanReading(
            $seconds > SessionPlan::MAX_SECONDS ? $plan->withBlocks([]) : $plan,
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

    /** @param int $rounds that came before, repeats counted; counted on */
    private function block(PlanFields $fields, RoundReader $roundReader, SessionPlan $plan, int &$rounds): Block
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
            $done = $roundReader->read($round, $plan);
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
            $fields->text('note', t('A note'), 300),
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

    /** @return list<TimeCall>|null null for those of the gym */
    private function timeCalls(PlanFields $fields): ?array
    {
        if (!$fields->has('timeCalls')) {
            return null;
        }
        $calls = [];
        foreach ($fields->words('timeCalls', t('The times that are called')) as $word) {
            $call = TimeCall::tryFrom($word);
            if (null === $call) {
                $fields->problem(
                    t(
                        'There is no time call "{word}"; there is {all}.',
                        word: mb_strimwidth($word, 0, 40, '…'),
                        all: implode(', ', array_column(TimeCall::cases(), 'value')),
                    ),
                    'timeCalls',
                    false,
                );
            } else {
                $calls[$call->value] = $call;
            }
        }

        return array_values($calls);
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
