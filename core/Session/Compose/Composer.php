<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Generates a session: a warm-up, rounds of chosen and ordered combinations in suitable drills, rounds in the other
 * stance until the sides balance, and a cool-down, with the reason for each choice.
 */
final class Composer
{
    /** Pause between blocks, in s. */
    private const CHANGEOVER_SECONDS = 60;
    private const MIN_ROUNDS = 2;
    private const MAX_ROUNDS = 24;
    /** From so many s of rest on, what comes is shown in it, while the breath comes back. */
    private const SHOWN_REST = 45;
    /** Share of the heavier side below which no further round changes its stance. */
    private const BALANCED_SHARE = 0.53;

    /** @var list<Explanation> */
    private array $reasons = [];
    /** @var list<string> */
    private array $unmet = [];

    /** @param list<Candidate> $candidates */
    private function __construct(
        private readonly Wishes $wishes,
        private readonly array $candidates,
        private readonly PlanReader $reader,
    ) {
    }

    /** @param list<Candidate> $candidates of the library */
    public static function compose(Wishes $wishes, array $candidates, ?PlanReader $reader = null): Composition
    {
        $composer = new self($wishes, $candidates, $reader ?? new PlanReader());
        $plan = $composer->plan();

        return new Composition($plan, $composer->reasons, $composer->unmet);
    }

    /** @return array<string, mixed> */
    private function plan(): array
    {
        $w = $this->wishes;
        $locked = new WrittenPlan($w->locked);
        $warmUp = 30 * $this->clamp(intdiv($w->minutes * 60 * 12, 3000), 6, 20);
        $coolDown = 30 * $this->clamp(intdiv($w->minutes * 60 * 7, 3000), 4, 10);
        $conditioning = $w->minutes >= 60 ? 300 : 0;
        $blocks = [$this->part($locked, BlockKind::WarmUp, $warmUp)];
        $after = $conditioning > 0 ? [$this->part($locked, BlockKind::Conditioning, $conditioning)] : [];
        $after[] = $this->part($locked, BlockKind::CoolDown, $coolDown);
        $others = new WrittenPlan([
            'rules' => $w->rules->id,
            'blocks' => [
                ...$blocks,
                ['kind' => BlockKind::Rounds->value, 'rounds' => [], 'changeover' => self::CHANGEOVER_SECONDS],
                ...$after,
            ],
        ]);
        $left = 60 * $w->minutes - $others->read()->seconds();
        $count = $this->clamp(intdiv($left + $w->rest, $w->work + $w->rest), self::MIN_ROUNDS, self::MAX_ROUNDS);
        $rounds = $this->balanced($this->rounds($locked, $count));
        $plan = [
            'name' => t('{course}: {aim}', course: $w->course, aim: $w->aim->title()),
            'minutes' => $w->minutes,
            'rules' => $w->rules->id,
            'group' => $w->group->value,
            'medium' => $w->medium->value,
            'level' => max($w->levels),
            'seed' => $w->seed,
            'numbering' => $w->numbering,
            'tracks' => $this->tracks(),
            'blocks' => [
                ...$blocks,
                [
                    'kind' => BlockKind::Rounds->value,
                    'name' => t('Rounds'),
                    'rounds' => $rounds,
                    'changeover' => self::CHANGEOVER_SECONDS,
                ],
                ...$after,
            ],
        ];
        $this->explain(
            'blocks[1]',
            t(
                '{count} rounds of {time} with {rest} s of rest fill what warm-up{more} and cool-down leave of '
                    .'{minutes} minutes.',
                count: $count,
                time: Duration::inWords($w->work),
                rest: $w->rest,
                more: $conditioning > 0 ? t(', conditioning') : '',
                minutes: $w->minutes,
            ),
        );

        return $plan;
    }

    /** @return list<array{name: string, level: int}> */
    private function tracks(): array
    {
        return 1 === \count($this->wishes->levels)
            ? []
            : array_map(
                static fn (int $level): array => [
                    'name' => t('Level {level}', level: $level),
                    'level' => $level,
                ],
                $this->wishes->levels,
            );
    }

    /** @return array<array-key, mixed> a block of exercises, or the locked one */
    private function part(WrittenPlan $locked, BlockKind $kind, int $seconds): array
    {
        foreach ($locked->blocks() as $block) {
            if ($kind->value === ($block['kind'] ?? '') && true === ($block['locked'] ?? false)) {
                return $block;
            }
        }
        $kicks = \in_array(Limb::Leg, $this->wishes->rules->allows, true);
        $this->explain(
            $kind->value,
            match ($kind) {
                BlockKind::WarmUp => t(
                    'The warm-up takes {time}{more}.',
                    time: Duration::inWords($seconds),
                    more: $kicks
                        ? t(' and opens the hips, because kicks follow')
                        : t(' and wakes shoulders and feet, because hands follow'),
                ),
                BlockKind::Conditioning => t(
                    'An hour has room for conditioning after the rounds, where it does not hurt the technique.',
                ),
                default => t('The cool-down takes {time} to bring the breath down.', time: Duration::inWords($seconds)),
            },
        );

        return $this->reader->advice->part(
            $kind->value,
            $seconds,
            $kicks ? ['leg-swings', 'knee-lifts'] : ['stance-bounce', 'arms-in-and-out'],
        );
    }

    /** @return list<array<array-key, mixed>> */
    private function rounds(WrittenPlan $locked, int $count): array
    {
        $kept = $taken = [];
        foreach ($locked->rounds(BlockKind::Rounds) as [, $number, $round]) {
            if (true === ($round['locked'] ?? false) && $number < $count) {
                $kept[$number] = $round;
                foreach ((new WrittenPlan(['blocks' => [['rounds' => [$round]]]]))->combinations() as $combination) {
                    $taken[] = \is_int($combination['id'] ?? null) ? $combination['id'] : 0;
                }
            }
        }
        $wanted = $this->clamp(intdiv($count + 1, 2), 2, 6);
        $choices = [];
        $selection = new Selection($this->wishes);
        $flowing = $selection->flowing($this->candidates);
        foreach ($this->wishes->levels as $level) {
            $chosen = $selection->choose($flowing, $level, $wanted, $taken);
            $choices[] = $chosen->choices;
            array_push($this->unmet, ...$chosen->unmet);
        }
        $whies = array_unique(array_map(
            static fn (Choice $choice): string => $choice->why,
            array_merge(...$choices),
        ));
        foreach ($whies as $why) {
            $this->explain('blocks[1]', $why);
        }
        $rounds = [];
        for ($number = 0; $number < $count; ++$number) {
            $rounds[] = $kept[$number] ?? $this->round($number, $count, $choices);
        }

        return $rounds;
    }

    /**
     * @param list<list<Choice>> $choices by track
     *
     * @return array<string, mixed>
     */
    private function round(int $number, int $count, array $choices): array
    {
        $most = max(0, ...array_map(\count(...), $choices));
        $choice =
            0 === $most
                ? new DrillChoice('free', t('Free work, because nothing in the library fits.'))
                : $this->drill($number, $count, $most);
        $sets = array_map(
            fn (array $ofTrack): array => [$this->set($choice->drill, $number, $count, $ofTrack)],
            $choices,
        );
        $this->explain("blocks[1].rounds[$number]", $choice->why);
        $round = ['seconds' => $this->wishes->work, 'rest' => $this->wishes->rest, 'sets' => $sets[0]];
        if ($number < $count - 1 && $this->wishes->rest >= self::SHOWN_REST) {
            $round['inRest'] = ['drill' => 'demonstration'];
        }
        if (\count($sets) > 1) {
            $cycle = $this->wishes->work + $this->wishes->rest;
            $round['tracks'] = array_map(fn (int $track, array $own): array => [
                'track' => $track,
                // Level 1 works and rests a minute each, where that fills the cycle.
                ...(1 === $this->wishes->levels[$track] && 0 === $cycle % 120 ? ['pattern' => [60, 60]] : []),
                'sets' => $own,
            ], array_keys($sets), $sets);
        }

        return $round;
    }

    private function drill(int $number, int $count, int $combinations): DrillChoice
    {
        $isPartner = Medium::Partner === $this->wishes->medium || $this->wishes->medium->properties()->held;
        $isExperienced = min($this->wishes->levels) > 1;

        return match (true) {
            0 === $number => new DrillChoice(
                'ladder',
                t('A ladder comes first: the first combination is built strike by strike.'),
            ),
            $number === $count - 1 && $count > 2 => new DrillChoice(
                'calls',
                t('Calls come last: everything of the day, in random order.'),
            ),
            $number === $count - 2 && $count > 4 && $isPartner && $isExperienced => new DrillChoice(
                'exchange',
                t('With a partner the answer belongs to it: they answer, defend and counter, twice in a row.'),
            ),
            $number === $count - 2 && $count > 4 && $isPartner => new DrillChoice(
                'return-fire',
                t('With a partner the answer belongs to it: defend, then counter.'),
            ),
            1 === $number && $count > 3 && !$isExperienced => new DrillChoice(
                'repetitions',
                t('By the count: ten slow to know it, then five fast.'),
            ),
            2 === $number && $count > 5 && $combinations > 2 && $isExperienced => new DrillChoice(
                'menu',
                t('A menu: who knows several chooses one at each entry.'),
            ),
            $number === $count - 2 && $count > 4 => new DrillChoice(
                'setup-free',
                t('What was drilled becomes the beginning of free work.'),
            ),
            1 === $number % 2 && $combinations > 1 => new DrillChoice(
                'set-list',
                t('Two combinations in turn: what they share stays, and the change is announced.'),
            ),
            default => new DrillChoice('repeat', t('One combination all round, until it needs no thought.')),
        };
    }

    /**
     * @param list<Choice> $choices in their order
     *
     * @return array<string, mixed>
     */
    private function set(string $drill, int $number, int $count, array $choices): array
    {
        $written = array_map(static fn (Choice $choice): array => $choice->candidate->written(), $choices);
        if ([] === $written) {
            return ['drill' => 'free', 'combinations' => []];
        }
        // The session goes through the combinations in order.
        $index = min(\count($written) - 1, intdiv($number * \count($written), max(1, $count - 1)));

        return match (true) {
            'calls' === $drill => [
                'drill' => 'calls',
                'combinations' => $written,
                'parameters' => ['least' => 3, 'most' => 6],
            ],
            'repetitions' === $drill => [
                'drill' => 'repetitions',
                'combinations' => [$written[$index]],
                'parameters' => ['counts' => [10, 5], 'paces' => ['slow', 'fast'], 'aloud' => true],
            ],
            'menu' === $drill && \count($written) > 1 => [
                'drill' => 'menu',
                'combinations' => \array_slice($written, 0, 5),
            ],
            'menu' === $drill => ['drill' => 'repeat', 'combinations' => [$written[0]]],
            'set-list' === $drill && \count($written) > 1 => [
                'drill' => 'set-list',
                'combinations' => [$written[max(0, $index - 1)], $written[max(1, $index)]],
            ],
            'set-list' === $drill => ['drill' => 'repeat', 'combinations' => [$written[0]]],
            default => ['drill' => $drill, 'combinations' => [$written[$index]]],
        };
    }

    /**
     * Changes the stance of rounds as long as that balances the sides.
     *
     * @param list<array<array-key, mixed>> $rounds
     *
     * @return list<array<array-key, mixed>>
     */
    private function balanced(array $rounds): array
    {
        $sides = array_map($this->sides(...), $rounds);
        $flips = 0;
        while ($flips < intdiv(\count($rounds), 2)) {
            [$best, $index] = [$this->share($sides), null];
            foreach ($sides as $number => $one) {
                if (
                    0 === $number
                    || true === ($rounds[$number]['locked'] ?? false)
                    || RoundStance::Other->value === ($rounds[$number]['stance'] ?? '')
                ) {
                    continue;
                }
                $share = $this->share(array_replace($sides, [$number => $one->flipped()]));
                if ($share < $best - 0.005) {
                    [$best, $index] = [$share, $number];
                }
            }
            if (null === $index || $this->share($sides) <= self::BALANCED_SHARE) {
                break;
            }
            $sides[$index] = $sides[$index]->flipped();
            $rounds[$index]['stance'] = RoundStance::Other->value;
            $this->explain(
                "blocks[1].rounds[$index]",
                t(
                    'In the other stance, so that the sides come to {best} to {best2}.',
                    best: round(100 * $best),
                    best2: round(100 * (1 - $best)),
                ),
            );
            ++$flips;
        }

        return $rounds;
    }

    /** @param array<array-key, mixed> $round */
    private function sides(array $round): Sides
    {
        $plan = $this->reader->read([
            'rules' => $this->wishes->rules->id,
            'numbering' => $this->wishes->numbering,
            'tracks' => $this->tracks(),
            'blocks' => [['rounds' => [$round]]],
        ])->plan;
        $programme = ProgrammeBuilder::build($plan, $this->reader->advice);
        $sides = new Sides();
        foreach ($programme->tracks() as $track) {
            $load = LoadCounter::load($programme, $track, Stance::Orthodox);
            $sides = $sides->plus($load->bySide['left'], $load->bySide['right']);
        }

        return $sides;
    }

    /** @param array<int, Sides> $sides of all rounds */
    private function share(array $sides): float
    {
        $all = new Sides();
        foreach ($sides as $one) {
            $all = $all->plus($one->left, $one->right);
        }

        return $all->share();
    }

    private function explain(string $place, string $message): void
    {
        $this->reasons[] = new Explanation($place, $message);
    }

    private function clamp(int $value, int $least, int $most): int
    {
        return max($least, min($most, $value));
    }
}
