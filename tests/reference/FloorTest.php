<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Serializer\BesideDocument;
use Periplus\Core\Session\Serializer\SessionSerializer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Session\Plans;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Kinds of classes as they are really taught, each as a plan, with its cues written out by hand beside it. Common
 * practice, no source; the arithmetic of the seconds stands with each.
 *
 * @phpstan-type Moments list<array{int|float, string, string}>
 */
final class FloorTest extends TestCase
{
    /**
     * @param list<string|array<string, mixed>> $combinations
     * @param array<string, mixed> $parameters
     * @param array<string, mixed> $more
     *
     * @return array<string, mixed>
     */
    private static function set(
        string $drill,
        array $combinations = [],
        array $parameters = [],
        array $more = [],
    ): array {
        return ['drill' => $drill, 'combinations' => $combinations, 'parameters' => $parameters, ...$more];
    }

    /** @return iterable<string, array{list<array<string, mixed>>, Moments}> rounds, and cues by their seconds */
    public static function classes(): iterable
    {
        // 2 laps of 3 stations of 60 s: 6 min; nothing between them, so each is announced 8 s before it.
        yield 'three stations of a minute, twice through' => [
            [
                [
                    'laps' => 2,
                    'lastTen' => false,
                    'sets' => [
                        self::set('repeat', ['1 2'], [], ['seconds' => 60]),
                        self::set('exercise', [], ['exercise' => 'skipping'], ['seconds' => 60]),
                        self::set('repeat', ['3 2'], [], ['seconds' => 60]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1 2'],
                [52, 'next', 'Next: Skipping'],
                [60, 'change', 'Exercise'],
                [60, 'exercise', 'Skipping'],
                [112, 'next', 'Next: 3 2'],
                [120, 'change', 'Repeat'],
                [120, 'show', '3 2'],
                [172, 'next', 'Next: 1 2'],
                [180, 'change', 'Repeat'],
                [180, 'show', '1 2'],
                [232, 'next', 'Next: Skipping'],
                [240, 'change', 'Exercise'],
                [240, 'exercise', 'Skipping'],
                [292, 'next', 'Next: 3 2'],
                [300, 'change', 'Repeat'],
                [300, 'show', '3 2'],
                [360, 'end', 'End'],
            ],
        ];
        // 3 sets of 30 s with 10 s between: 30 + 10 + 30 + 10 + 30 = 110 s. A breath announces what comes after it.
        yield 'sets with a breath between' => [
            [
                [
                    'breath' => 10,
                    'lastTen' => false,
                    'sets' => [
                        self::set('repeat', ['1 2'], [], ['seconds' => 30]),
                        self::set('repeat', ['1 2 3'], [], ['seconds' => 30]),
                        self::set('free', [], [], ['seconds' => 30]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1 2'],
                [30, 'rest', 'Rest, 10 s'],
                [30, 'next', 'Next: 1 2 3'],
                [40, 'bell', 'Rounds'],
                [40, 'show', '1 2 3'],
                [70, 'rest', 'Rest, 10 s'],
                [70, 'next', 'Next: free: hand'],
                [80, 'bell', 'Rounds'],
                [80, 'show', 'free: hand'],
                [110, 'end', 'End'],
            ],
        ];
        yield 'rounds without a rest are announced in the work before them' => [
            [
                ['seconds' => 60, 'lastTen' => false, 'sets' => [self::set('repeat', ['1 2'])]],
                ['seconds' => 60, 'lastTen' => false, 'sets' => [self::set('pyramid', [], ['top' => 2])]],
            ],
            [
                [0, 'bell', 'Round 1 of 2'],
                [0, 'show', '1 2'],
                [52, 'next', 'Next: pyramid, 1 up to 2 and back: hand'],
                [60, 'bell', 'Round 2 of 2'],
                [60, 'count', '1'],
                [80, 'count', '2'],
                [100, 'count', '1'],
                [120, 'end', 'End'],
            ],
        ];
        // A cross takes 0.25 s alone and 0.49 s after a jab; at level 2 there are 4 s after each. The count begins 3 s
        // after it was said what is counted: 3 + 4.49 n.
        yield 'three on the count, aloud' => [
            [['lastTen' => false, 'sets' => [self::set('repetitions', ['1 2'], ['counts' => [3], 'aloud' => true])]]],
            [
                [0, 'bell', 'Rounds'],
                [0, 'repetitions', '3 × 1 2'],
                [3, 'aloud', '1'],
                [7.49, 'aloud', '2'],
                [11.98, 'aloud', '3'],
                // 3 + 3 · 4.49 = 16.47, in whole seconds 17
                [17, 'end', 'End'],
            ],
        ];
        // 5 · 4.49 = 22.45, 3 · 4.49 = 13.47, 2 · 4.49 = 8.98, 4.49; 5 s of breath between: 27.45, 45.92, 59.90, 64.39.
        yield 'five, three, two, one' => [
            [['lastTen' => false, 'sets' => [self::set('repetitions', ['1 2'], ['counts' => [5, 3, 2, 1]])]]],
            [
                [0, 'bell', 'Rounds'],
                [0, 'repetitions', '5 × 1 2'],
                [27.45, 'repetitions', '3 × 1 2'],
                [45.92, 'repetitions', '2 × 1 2'],
                [59.9, 'repetitions', '1 × 1 2'],
                [65, 'end', 'End'],
            ],
        ];
        // The second round is shown in the rest before it, half of the 30 s in each stance.
        yield 'a named round, and what comes shown slowly in the rest' => [
            [
                [
                    'seconds' => 60,
                    'rest' => 30,
                    'lastTen' => false,
                    'sets' => [self::set('repeat', ['1 2'])],
                    'inRest' => self::set('demonstration'),
                ],
                [
                    'name' => 'Pull and counter',
                    'seconds' => 60,
                    'lastTen' => false,
                    'sets' => [self::set('repeat', ['pull 2 3'])],
                ],
            ],
            [
                [0, 'bell', 'Round 1 of 2'],
                [0, 'show', '1 2'],
                [60, 'rest', 'Rest, 30 s'],
                [60, 'demonstration', 'pull 2 3'],
                [60, 'next', 'Next: Pull and counter: pull 2 3'],
                [75, 'demonstration', 'pull 2 3'],
                [90, 'bell', 'Round 2 of 2: Pull and counter'],
                [90, 'show', 'pull 2 3'],
                [150, 'end', 'End'],
            ],
        ];
        // 180 s by eight entries are 22.5 s each.
        yield 'a menu of eight entries' => [
            [
                [
                    'seconds' => 180,
                    'lastTen' => false,
                    'sets' => [
                        self::set(
                            'menu',
                            ['2 3', '3b 3', '2 3b', '6 3', '2b 3'],
                            ['opening' => '1', 'ending' => 'exit', 'entries' => 8],
                        ),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1, then 2 3, 3b 3, 2 3b, 6 3 or 2b 3, then exit'],
                [0, 'entry', 'entry 1 of 8'],
                [22.5, 'entry', 'entry 2 of 8'],
                [45, 'entry', 'entry 3 of 8'],
                [67.5, 'entry', 'entry 4 of 8'],
                [90, 'entry', 'entry 5 of 8'],
                [112.5, 'entry', 'entry 6 of 8'],
                [135, 'entry', 'entry 7 of 8'],
                [157.5, 'entry', 'entry 8 of 8'],
                [180, 'end', 'End'],
            ],
        ];
        yield 'free in four frames' => [
            [
                [
                    'seconds' => 240,
                    'lastTen' => false,
                    'breath' => 0,
                    'sets' => [
                        self::set('repeat', ['1 2 3'], [], ['seconds' => 60]),
                        self::set('free', ['1', 'push'], ['from' => 'list'], ['seconds' => 60]),
                        self::set(
                            'free',
                            [],
                            ['least' => 2, 'free' => 5, 'jabs' => 50, 'ending' => 'check-lead 14l'],
                            ['seconds' => 60],
                        ),
                        self::set('free', [], ['from' => 'session'], ['seconds' => 60]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1 2 3'],
                [52, 'next', 'Next: free among 1 and push'],
                [60, 'change', 'Free'],
                [60, 'show', 'free among 1 and push'],
                [112, 'next', 'Next: free: hand, 2 to 5 strikes, at least half jabs, end with check-lead 14l'],
                [120, 'change', 'Free'],
                [120, 'show', 'free: hand, 2 to 5 strikes, at least half jabs, end with check-lead 14l'],
                [172, 'next', 'Next: free from what was drilled'],
                [180, 'change', 'Free'],
                [180, 'show', 'free from what was drilled'],
                [240, 'end', 'End'],
            ],
        ];
        yield 'themes of the gym beside those that are known' => [
            [
                [
                    'seconds' => 120,
                    'lastTen' => false,
                    'sets' => [
                        self::set(
                            'themes',
                            [['chain' => '1 2 3b', 'themes' => ['liver day']], '3 1 3'],
                            ['themes' => ['Liver day', 'lead-hand']],
                        ),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'theme', 'Liver day: 1 2 3b'],
                [60, 'theme', 'lead hand: 1 2 3b · 3 1 3'],
                [120, 'end', 'End'],
            ],
        ];
        // A jab takes 0.2 s, a slip as well, jab and cross 0.49 s; 3 s of silence after each.
        yield 'calls in this order, each twice' => [
            [
                [
                    'seconds' => 22,
                    'lastTen' => false,
                    'sets' => [
                        self::set(
                            'calls',
                            ['1', '1 2', 'slip-lead'],
                            ['order' => 'script', 'each' => 2, 'least' => 3, 'most' => 3],
                        ),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'call', '1'],
                [3.2, 'call', '1'],
                [6.4, 'call', '1 2'],
                [9.89, 'call', '1 2'],
                [13.38, 'call', 'slip-lead'],
                [16.58, 'call', 'slip-lead'],
                [19.78, 'last-call', '1'],
                [22, 'end', 'End'],
            ],
        ];
        // The step takes 0.22 s: 0.49 + 0.22 + 2 = 2.71 s from call to call.
        yield 'a move after each call' => [
            [
                [
                    'seconds' => 7,
                    'lastTen' => false,
                    'sets' => [
                        self::set('calls', ['1 2'], ['between' => 'step-lead', 'least' => 2, 'most' => 2]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'call', '1 2, then step-lead'],
                [2.71, 'call', '1 2, then step-lead'],
                [5.42, 'last-call', '1 2, then step-lead'],
                [7, 'end', 'End'],
            ],
        ];
        // The rest announces the step of the round that comes, not always the first one.
        yield 'what is new goes in before the ending, from round to round' => [
            [
                [
                    'seconds' => 60,
                    'rest' => 30,
                    'times' => 3,
                    'lastTen' => false,
                    'sets' => [
                        self::set('builder', ['1 1 exit', '1 1 4b exit', '1 1 4b 3b exit'], ['by' => 'round']),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Round 1 of 3'],
                [0, 'step', '1 1 exit'],
                [60, 'rest', 'Rest, 30 s'],
                [60, 'next', 'Next: 1 1 4b exit'],
                [90, 'bell', 'Round 2 of 3'],
                [90, 'step', '1 1 4b exit'],
                [150, 'rest', 'Rest, 30 s'],
                [150, 'next', 'Next: 1 1 4b 3b exit'],
                [180, 'bell', 'Round 3 of 3'],
                [180, 'step', '1 1 4b 3b exit'],
                [240, 'end', 'End'],
            ],
        ];
        yield 'a feint is a rung of its own' => [
            [
                [
                    'seconds' => 100,
                    'lastTen' => false,
                    'sets' => [self::set('ladder', ['3 2 (3) 6'], ['rung' => 25])],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'rung', '3'],
                [25, 'rung', '3 2'],
                [50, 'rung', '3 2 (3)'],
                [75, 'rung', '3 2 (3) 6'],
                [100, 'end', 'End'],
            ],
        ];
        // A jab takes 0.2 s, a cross 0.25 s, 4 s after each: 4.2 and 4.25 s a side.
        yield 'two short ones, each once a side in turn' => [
            [['seconds' => 17, 'lastTen' => false, 'sets' => [self::set('alternate', ['1', '2'])]]],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1'],
                [0, 'stance', 'own stance'],
                [4.2, 'stance', 'other stance'],
                [8.4, 'show', '2'],
                [8.4, 'stance', 'own stance'],
                [12.65, 'stance', 'other stance'],
                [16.9, 'show', '1'],
                [16.9, 'stance', 'own stance'],
                [17, 'end', 'End'],
            ],
        ];
        yield 'the lead leg only, then the power side only' => [
            [
                [
                    'lastTen' => false,
                    'sets' => [
                        self::set('one-side', [], ['side' => 'lead', 'weapons' => ['leg']], ['seconds' => 60]),
                        self::set('one-side', [], ['side' => 'rear'], ['seconds' => 60]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'side', 'lead side only: leg'],
                [52, 'next', 'Next: power side only: hand'],
                [60, 'change', 'One side'],
                [60, 'side', 'power side only: hand'],
                [120, 'end', 'End'],
            ],
        ];
        yield 'the same stance, on the other leg' => [
            [
                [
                    'seconds' => 120,
                    'lastTen' => false,
                    'sets' => [self::set('balance', ['12'], ['by' => 'leg'])],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'side', 'one leg: 12'],
                [30, 'side', 'other leg: 11'],
                [60, 'side', 'one leg: 12'],
                [90, 'side', 'other leg: 11'],
                [120, 'end', 'End'],
            ],
        ];
        yield 'an exercise after the chain, and one between its repetitions' => [
            [
                [
                    'lastTen' => false,
                    'sets' => [
                        self::set(
                            'conditioning',
                            ['1 2'],
                            ['exercise' => 'foot-switches', 'count' => 4, 'when' => 'after'],
                            ['seconds' => 60],
                        ),
                        self::set(
                            'conditioning',
                            ['1 2 3'],
                            ['exercise' => 'jabs-to-hold', 'count' => 2, 'when' => 'between'],
                            ['seconds' => 60],
                        ),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1 2, then 4 foot switches'],
                [52, 'next', 'Next: 1 2 3, between repetitions 2 jabs to hold the bag'],
                [60, 'change', 'With conditioning'],
                [60, 'show', '1 2 3, between repetitions 2 jabs to hold the bag'],
                [120, 'end', 'End'],
            ],
        ];
        yield 'an exchange of two beats' => [
            [
                [
                    'seconds' => 60,
                    'lastTen' => false,
                    'sets' => [
                        self::set(
                            'exchange',
                            ['slip-lead 3b', 'block-rear 6 3 2'],
                            ['first' => 'they', 'incoming' => ['2', '3']],
                        ),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', 'they 2, you slip-lead 3b'],
                [0, 'answer', 'they 3'],
                [0, 'counter', 'block-rear 6 3 2'],
                [60, 'end', 'End'],
            ],
        ];
        // The last ten seconds of each set are straights, without a set of their own.
        yield 'all out at the end of each set' => [
            [
                [
                    'lastTen' => false,
                    'sets' => [
                        self::set('repeat', ['1 2'], [], ['seconds' => 60, 'allOut' => 10]),
                        self::set('repeat', ['3 2'], [], ['seconds' => 60, 'allOut' => 10]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'show', '1 2'],
                [50, 'on', 'straights, all out'],
                [52, 'next', 'Next: 3 2'],
                [60, 'change', 'Repeat'],
                [60, 'show', '3 2'],
                [110, 'on', 'straights, all out'],
                [120, 'end', 'End'],
            ],
        ];
        // An exercise of 6 s is over before an announcement of 8 s would be: the next one is said when it begins.
        yield 'exercises shorter than their announcement' => [
            [
                [
                    'lastTen' => false,
                    'sets' => [
                        self::set('exercise', [], ['exercise' => 'squats'], ['seconds' => 30]),
                        self::set('exercise', [], ['exercise' => 'jumps'], ['seconds' => 6]),
                        self::set('exercise', [], ['exercise' => 'lunges'], ['seconds' => 30]),
                    ],
                ],
            ],
            [
                [0, 'bell', 'Rounds'],
                [0, 'exercise', 'Squats'],
                [22, 'next', 'Next: Jumps'],
                [30, 'change', 'Exercise'],
                [30, 'exercise', 'Jumps'],
                [36, 'change', 'Exercise'],
                [36, 'exercise', 'Lunges'],
                [66, 'end', 'End'],
            ],
        ];
    }

    /**
     * @param list<array<string, mixed>> $rounds
     * @param Moments $cues
     */
    #[DataProvider('classes')]
    public function testAClassComesOutToTheSecond(array $rounds, array $cues): void
    {
        self::assertSame([], Plans::problems(Plans::of($rounds)));
        self::assertSame(
            array_map(static fn (array $cue): array => [(int) round(1000 * $cue[0]), $cue[1], $cue[2]], $cues),
            Plans::cues(Plans::programme(Plans::of($rounds))),
        );
    }

    public function testAPartHasItsOwnTempo(): void
    {
        $programme = Plans::programme(Plans::of([
            ['tempo' => 1.6, 'sets' => [self::set('repeat', ['1 2'], [], ['seconds' => 60])]],
            [
                'sets' => [
                    self::set('repeat', ['1 2'], [], ['seconds' => 60, 'tempo' => 0.8]),
                    self::set('repeat', ['1 2'], [], ['seconds' => 60]),
                ],
            ],
        ]));
        $lengths = array_map(
            static fn (Cue $cue): ?int => $cue->lengthMs,
            array_values(array_filter($programme->cues, static fn (Cue $cue): bool => 'show' === $cue->kind->value)),
        );

        // 490 ms at the usual tempo: 490 · 1.6 = 784, 490 · 0.8 = 392.
        self::assertSame([784, 392, 490], $lengths);
    }

    public function testAnEasierAndAHarderFormStandBesideAndAreNotCounted(): void
    {
        $plan = Plans::of([
            [
                'seconds' => 60,
                'sets' => [self::set('repeat', ['1 2 3'], [], ['easier' => '1 2', 'harder' => '1 2 3 2'])],
            ],
        ]);
        $document = (new SessionSerializer(new PlanReader()))->serialize($plan);
        $shown = array_values(array_filter($document->cues, static fn ($cue): bool => 'show' === $cue->kind->value))[0];

        self::assertSame(
            [['easier', '1 2'], ['harder', '1 2 3 2']],
            array_map(static fn (BesideDocument $one): array => [$one->label, $one->text], $shown->beside),
        );
        $strikes = LoadCounter::load(Plans::programme($plan), null, Stance::Orthodox)->strikes;
        $alone = LoadCounter::load(Plans::programme(Plans::set('repeat', ['1 2 3'])), null, Stance::Orthodox)->strikes;
        self::assertSame($alone, $strikes);
    }

    public function testAtLeastHalfOfTheFreeStrikesCountAsJabs(): void
    {
        // Two to five strikes are three and a half, counted as three; half of them are two jabs and one free strike.
        $load = LoadCounter::load(
            Plans::programme(Plans::set('free', [], 60, ['least' => 2, 'free' => 5, 'jabs' => 50])),
            null,
            Stance::Orthodox,
        );

        self::assertEqualsWithDelta(2 / 3, $load->byStrike['jab'] / $load->strikes, 1e-9);
    }

    public function testThePowerSideIsTheRearSideOfEachStance(): void
    {
        $programme = Plans::programme(Plans::set('one-side', [], 60, ['side' => 'rear']));

        self::assertSame(0.0, LoadCounter::load($programme, null, Stance::Orthodox)->bySide['left']);
        self::assertSame(0.0, LoadCounter::load($programme, null, Stance::Southpaw)->bySide['right']);
    }

    public function testWhatIsNeededIsWhatTheCoachSaysAndWhatThePadsAskFor(): void
    {
        $plan = Plans::of(
            [
                ['seconds' => 60, 'sets' => [self::set('repeat', ['1 2'])]],
                ['seconds' => 60, 'medium' => 'pads', 'sets' => [self::set('repeat', ['1 2'])]],
            ],
            ['needs' => 'a rope each, water', 'medium' => 'bag'],
        );

        self::assertSame(
            ['a rope each', 'water', 'wraps', 'bag gloves', 'hanging bags', 'gloves', 'focus pads'],
            Plans::read($plan)->needed(),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string, array<string, mixed>|null}> a set and its mend */
    public static function emptyOnes(): iterable
    {
        yield 'a builder that grows from round to round and is done once' => [
            self::set('builder', ['1 2 3 2'], ['by' => 'round']),
            'the whole is never thrown',
            ['by' => 'work'],
        ];
        yield 'a builder whose steps are too long' => [
            self::set('builder', ['1 2 3 2'], ['seconds' => 60]),
            'the whole is never thrown',
            ['seconds' => 0],
        ];
        // 180 s are three minutes: one new one in each.
        yield 'ten calls of which three are ever called' => [
            self::set('calls', ['1', '2', '3', '4', '5', '6', '1 2', '2 3', '1 1', '3 2'], ['grows' => true]),
            '3 of the 10 are called',
            ['new' => 4],
        ];
        yield 'a combination that fits no theme' => [
            self::set('themes', ['1 1 2', '14l'], ['themes' => ['jab']]),
            '14l fits none of these themes',
            null,
        ];
        yield 'a slip against a hook' => [
            self::set('exchange', ['slip-rear 2'], ['first' => 'they', 'incoming' => ['3'], 'beats' => 1]),
            'slip-rear 2 does not begin with what takes 3: roll-rear or duck or block-rear.',
            null,
        ];
        yield 'free work from nothing' => [
            self::set('free', [], ['from' => 'session']),
            'Nothing was drilled before this',
            ['from' => 'anything'],
        ];
    }

    /**
     * @param array<string, mixed> $set
     * @param array<string, mixed>|null $mend
     */
    #[DataProvider('emptyOnes')]
    public function testNothingRunsEmptyWithoutBeingSaid(array $set, string $sentence, ?array $mend): void
    {
        $problems = (new PlanReader())->read(Plans::of([['seconds' => 180, 'sets' => [$set]]]))->problems;

        self::assertCount(1, $problems);
        self::assertStringContainsString($sentence, $problems[0]->message);
        self::assertStringStartsWith('blocks[0].rounds[0].sets[0]', $problems[0]->place);
        self::assertSame($mend, $problems[0]->fix?->values);
        if (null !== $mend) {
            self::assertNotNull($problems[0]->fix);
            $mended = [...$set, 'parameters' => [...(array) $set['parameters'], ...$mend]];
            self::assertSame('blocks[0].rounds[0].sets[0].parameters', $problems[0]->fix->place);
            self::assertSame([], Plans::problems(Plans::of([['seconds' => 180, 'sets' => [$mended]]])));
        }
    }

    public function testAThemeThatTheLibraryDoesNotHaveIsSaid(): void
    {
        $read = static fn (string $theme): array => (new PlanReader(themes: static fn (): array => ['liver day']))
            ->read(Plans::set('themes', [], 60, ['themes' => [$theme]]))
            ->problems;

        self::assertSame([], $read('Liver Day'));
        self::assertStringContainsString('theme "river day"', $read('river day')[0]->message);
    }
}
