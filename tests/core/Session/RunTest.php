<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Programme\Amendments;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Run\ClockCommands;
use Periplus\Core\Session\Run\CommandKind;
use Periplus\Core\Session\Run\CommandRefused;
use Periplus\Core\Session\Run\Commands;
use Periplus\Core\Session\Run\RoundTimer;
use Periplus\Core\Session\Run\RunCommand;
use Periplus\Core\Session\Run\RunState;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A running session: the result of each command, and its changes of the programme. */
final class RunTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function presses(): iterable
    {
        /** @var array{cases: list<array{name: string}>} $file */
        $file = json_decode((string) file_get_contents(__DIR__.'/run-cases.json'), true, flags: \JSON_THROW_ON_ERROR);
        foreach ($file['cases'] as $case) {
            yield $case['name'] => [$case];
        }
    }

    /**
     * @param array{
     *     state: array{
     *         zeroMs: int,
     *         passage: string,
     *         pausedMs: int|null,
     *         endedMs: int|null,
     *         speed: int,
     *         holdMs: int|null,
     *     },
     *     waits: list<int>,
     *     press: array{id: string, kind: string, toMs: int|null, givenMs: int},
     *     then: array<string, mixed>,
     *     positionAt: list<array{int, int}>,
     * } $case
     */
    #[DataProvider('presses')]
    public function testAPressLeadsToTheStateThatTheCaseNames(array $case): void
    {
        $press = $case['press'];
        $after = (new Commands(self::waiting($case['waits'])))->after(
            RunState::of($case['state']),
            new RunCommand($press['id'], CommandKind::from($press['kind']), $press['toMs']),
            $press['givenMs'],
        )->state;

        self::assertEquals($case['then'], get_object_vars($after));
        foreach ($case['positionAt'] as [$index, $position]) {
            self::assertSame($position, $after->position($index));
        }
    }

    public function testAnotherMinuteLengthensTheRunningRoundAndNothingBeforeIt(): void
    {
        $plan = Plans::read(
            Plans::of([['seconds' => 120, 'rest' => 30, 'times' => 3, 'sets' => [['combinations' => ['1 2']]]]]),
        );
        $before = ProgrammeBuilder::build($plan);
        // 160 s is 10 s into the second round.
        $change = (new Commands($before))->after(
            self::runs(),
            new RunCommand('press-0001', CommandKind::Longer),
            160_000,
        );
        self::assertNotNull($change->amendment);
        $after = ProgrammeBuilder::build($plan, amendments: new Amendments([$change->amendment]));

        self::assertSame($before->lengthMs + 60_000, $after->lengthMs);
        self::assertSame([0, 120, 150, 330, 360, 480], self::borders($after));
        self::assertEquals(self::until($before, 160_000), self::until($after, 160_000));
        // The last ten seconds are the last ten of the longer round.
        self::assertContains([320_000, 'last-ten', 'Last ten seconds'], Plans::cues($after));
    }

    public function testAMinuteMoreInARestLengthensTheRest(): void
    {
        $plan = Plans::read(
            Plans::of([['seconds' => 120, 'rest' => 30, 'times' => 2, 'sets' => [['combinations' => ['1 2']]]]]),
        );
        $change = (new Commands(ProgrammeBuilder::build($plan)))->after(
            self::runs(),
            new RunCommand('press-0001', CommandKind::Longer),
            130_000,
        );

        self::assertNotNull($change->amendment);
        self::assertSame(
            [0, 120, 210, 330],
            self::borders(ProgrammeBuilder::build($plan, amendments: new Amendments([$change->amendment]))),
        );
    }

    public function testAMinuteMoreMovesEveryTrackByTheSameTime(): void
    {
        $plan = Plans::read(
            Plans::of(
                [
                    [
                        'seconds' => 180,
                        'rest' => 60,
                        'sets' => [['combinations' => ['1 2']]],
                        'tracks' => [
                            ['track' => 0, 'pattern' => [60, 60]],
                            ['track' => 1, 'pattern' => [120, 120]],
                            ['track' => 2, 'pattern' => [180, 60]],
                        ],
                    ],
                ],
                [
                    'tracks' => [
                        ['name' => 'One', 'level' => 1],
                        ['name' => 'Two', 'level' => 2],
                        ['name' => 'Three', 'level' => 3],
                    ],
                ],
            ),
        );
        $before = ProgrammeBuilder::build($plan);
        $change = (new Commands($before))->after(
            self::runs(),
            new RunCommand('press-0001', CommandKind::Longer),
            70_000,
        );
        self::assertNotNull($change->amendment);
        $after = ProgrammeBuilder::build($plan, amendments: new Amendments([$change->amendment]));

        self::assertSame(300_000, $after->lengthMs);
        // At 70 s the first track rests and the others work: they get the minute, and the first one's second stretch
        // starts a minute later.
        self::assertSame([120_000, 180_000, 240_000], array_map($after->workMs(...), [0, 1, 2]));
        self::assertSame(
            [0, 180_000],
            array_column(
                array_filter(
                    Plans::cues($after),
                    static fn (array $cue): bool => 'bell' === $cue[1] && str_ends_with($cue[2], 'One'),
                ),
                0,
            ),
        );
    }

    public function testTheRoundAgainIsOneRoundMore(): void
    {
        $plan = Plans::read(
            Plans::of([
                ['seconds' => 60, 'rest' => 30, 'sets' => [['combinations' => ['1 2']]]],
                ['seconds' => 60, 'sets' => [['combinations' => ['1 2 3']]]],
            ]),
        );
        $before = ProgrammeBuilder::build($plan);
        $change = (new Commands($before))->after(
            self::runs(),
            new RunCommand('press-0001', CommandKind::Again),
            10_000,
        );
        self::assertNotNull($change->amendment);
        $after = ProgrammeBuilder::build($plan, amendments: new Amendments([$change->amendment]));

        self::assertSame([0, 60, 90, 150, 180, 240], self::borders($after));
        self::assertContains([90_000, 'show', '1 2'], Plans::cues($after));
        self::assertContains([180_000, 'show', '1 2 3'], Plans::cues($after));
    }

    public function testASwapHoldsForThisRoundAndItsRepeatsButNotForThoseBefore(): void
    {
        $plan = Plans::read(
            Plans::of([['seconds' => 60, 'rest' => 30, 'times' => 3, 'sets' => [['combinations' => ['1 2']]]]]),
        );
        $with = new PlannedCombination('1 2 3b', new ChainInStance(Chains::read('1 2 3b'), Stance::Orthodox));
        $change = (new Commands(ProgrammeBuilder::build($plan)))->after(
            self::runs(),
            new RunCommand('press-0001', CommandKind::Swap, with: $with),
            100_000,
        );
        self::assertNotNull($change->amendment);
        $after = ProgrammeBuilder::build($plan, amendments: new Amendments([$change->amendment]));

        $shown = array_values(array_filter(Plans::cues($after), static fn (array $cue): bool => 'show' === $cue[1]));
        self::assertSame([[0, 'show', '1 2'], [90_000, 'show', '1 2 3b'], [180_000, 'show', '1 2 3b']], $shown);
    }

    /** @return iterable<string, array{RunCommand, int, string}> the press, when, and what is said */
    public static function refused(): iterable
    {
        yield 'a jump without a moment' => [
            new RunCommand('press-0001', CommandKind::Jump),
            10_000,
            'Say where to jump.',
        ];
        yield 'a jump beyond the end' => [
            new RunCommand('press-0001', CommandKind::Jump, 999_000),
            10_000,
            'The session lasts 150 s; 999 s is not in it.',
        ];
        yield 'a jump before the beginning' => [
            new RunCommand('press-0001', CommandKind::Jump, -1),
            10_000,
            'The session lasts 150 s; 0 s is not in it.',
        ];
        yield 'a minute more after the end' => [
            new RunCommand('press-0001', CommandKind::Longer),
            151_000,
            'The session is over. Go back to a round first.',
        ];
        yield 'a swap in a rest' => [
            new RunCommand(
                'press-0001',
                CommandKind::Swap,
                with: new PlannedCombination('1', new ChainInStance(Chains::read('1'), Stance::Orthodox)),
            ),
            70_000,
            'The current work has no such combination. Swap it once its round has started.',
        ];
        yield 'a swap for nothing' => [
            new RunCommand('press-0001', CommandKind::Swap),
            10_000,
            'Say which combination replaces it.',
        ];
    }

    #[DataProvider('refused')]
    public function testAPressThatMakesNoSenseIsRefusedInWords(RunCommand $press, int $now, string $sentence): void
    {
        $programme = Plans::programme(
            Plans::of([['seconds' => 60, 'rest' => 30, 'times' => 2, 'sets' => [['combinations' => ['1 2']]]]]),
        );
        $this->expectException(CommandRefused::class);
        $this->expectExceptionMessage($sentence);

        (new Commands($programme))->after(self::runs(), $press, $now);
    }

    public function testWhateverIsAddedChangesNothingThatWasShownBefore(): void
    {
        $plan = Plans::read(
            Plans::of([
                [
                    'seconds' => 90,
                    'rest' => 30,
                    'times' => 2,
                    'sets' => [
                        ['seconds' => 45, 'combinations' => ['1 2']],
                        ['seconds' => 45, 'drill' => 'calls', 'combinations' => ['1', '1 2', '3 2']],
                    ],
                ],
                [
                    'seconds' => 60,
                    'rest' => 60,
                    'times' => 2,
                    'sets' => [['drill' => 'ladder', 'combinations' => ['1 2 3 2'], 'parameters' => ['rung' => 10]]],
                ],
            ]),
        );
        $this->forAll(
            Generators::seq(
                Generators::tuple(
                    Generators::elements(CommandKind::Longer, CommandKind::Again),
                    Generators::choose(0, 330),
                ),
            ),
        )->then(static function (array $presses) use ($plan): void {
            /** @var list<array{CommandKind, int}> $presses */
            $amendments = new Amendments();
            foreach (\array_slice($presses, 0, 6) as [$kind, $second]) {
                $before = ProgrammeBuilder::build($plan, amendments: $amendments);
                $change = (new Commands($before))->after(
                    self::runs(),
                    new RunCommand('press-0001', $kind),
                    1000 * $second,
                );
                self::assertNotNull($change->amendment);
                $amendments = $amendments->and($change->amendment);
                $after = ProgrammeBuilder::build($plan, amendments: $amendments);
                // A title contains the number of rounds and the length of the rest, which may have grown.
                self::assertSame(self::until($before, 1000 * $second), self::until($after, 1000 * $second));
                self::assertGreaterThan($before->lengthMs, $after->lengthMs);
                self::assertSame(
                    $after->lengthMs,
                    array_sum(array_map(static fn (Segment $segment): int => $segment->ms(), $after->segments)),
                    'without a gap',
                );
            }
        });
    }

    public function testARoundTimerRingsAtEachRoundAndRest(): void
    {
        $programme = Plans::programme(RoundTimer::plan(3, 180, 60));

        self::assertSame([0, 180, 240, 420, 480, 660], self::borders($programme));
        self::assertContains([0, 'show', 'free'], Plans::cues($programme));
    }

    public function testTheClockWaitsAtTheEndOfATalk(): void
    {
        $programme = Plans::programme(
            Plans::of([
                [
                    'seconds' => 60,
                    'sets' => [['drill' => 'talk', 'combinations' => [], 'parameters' => ['clock' => 'waits']]],
                ],
                ['seconds' => 60, 'sets' => [['combinations' => ['1 2']]]],
            ]),
        );
        $state = ClockCommands::of($programme)->goingOn(self::runs(), -1);

        self::assertSame([60_000], $programme->waits());
        self::assertSame([60_000, true], [$state->position(90_000), $state->stands(90_000)]);
        $on = (new Commands($programme))->after($state, new RunCommand('press-0001', CommandKind::Resume), 95_000)
            ->state;
        self::assertSame([70_000, false, null], [$on->position(105_000), $on->stands(105_000), $on->holdMs]);
    }

    private static function runs(): RunState
    {
        return new RunState(0, 'start-0001');
    }

    /**
     * Returns a programme of ten minutes that waits at these moments.
     *
     * @param list<int> $waits ms
     */
    private static function waiting(array $waits): Programme
    {
        $rounds = [];
        $from = 0;
        foreach ($waits as $ms) {
            $rounds[] = [
                'seconds' => intdiv($ms, 1000) - $from,
                'sets' => [['drill' => 'talk', 'combinations' => [], 'parameters' => ['clock' => 'waits']]],
            ];
            $from = intdiv($ms, 1000);
        }

        return Plans::programme(
            Plans::of([...$rounds, ['seconds' => 600 - $from, 'sets' => [['combinations' => ['1 2']]]]]),
        );
    }

    /** @return list<int> s at which work and rest begin, and the end */
    private static function borders(Programme $programme): array
    {
        return [
            ...array_map(static fn (int $ms): int => intdiv($ms, 1000), $programme->stretches()),
            intdiv($programme->lengthMs, 1000),
        ];
    }

    /**
     * @return list<array{
     *     int,
     *     string,
     *     string,
     * }> what was shown by then, but for what says how much is left: a press in a rest changes what comes, one at the
     * end of a round what is the last
     */
    private static function until(Programme $programme, int $ms): array
    {
        $cues = array_values(
            array_filter(
                $programme->cues,
                static fn (Cue $cue): bool => $cue->atMs <= $ms
                    && !\in_array($cue->kind, [CueKind::Next, CueKind::LastTen], true),
            ),
        );

        return array_map(
            static fn (Cue $cue): array => [
                $cue->atMs,
                str_replace('last-call', 'call', $cue->kind->value),
                (string) preg_replace(['/ of \d+/', '/^Rest, \d+ s$/'], ['', 'Rest'], $cue->text),
            ],
            $cues,
        );
    }
}
