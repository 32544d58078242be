<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Serializer\SessionSerializer;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ProgrammeTest extends TestCase
{
    public function testARoundHasABellAnnouncementsAChangeAndARest(): void
    {
        $programme = Plans::programme(
            Plans::of([
                [
                    'seconds' => 120,
                    'rest' => 30,
                    'times' => 2,
                    'sets' => [['combinations' => ['1 2']], ['combinations' => ['1 2 3']]],
                ],
            ]),
        );

        self::assertSame([
            [0, 'bell', 'Round 1 of 2'], [0, 'show', '1 2'],
            [52_000, 'next', 'Next: 1 2 3'], [60_000, 'change', 'Repeat'], [60_000, 'show', '1 2 3'],
            [110_000, 'last-ten', 'Last ten seconds'], [120_000, 'rest', 'Rest, 30 s'], [120_000, 'next', 'Next: 1 2'],
            [150_000, 'bell', 'Round 2 of 2'], [150_000, 'show', '1 2'],
            [202_000, 'next', 'Next: 1 2 3'], [210_000, 'change', 'Repeat'], [210_000, 'show', '1 2 3'],
            [260_000, 'last-ten', 'Last ten seconds'], [270_000, 'end', 'End'],
        ], Plans::cues($programme));
    }

    public function testWhatIsCalledAtRandomIsNotForetold(): void
    {
        $programme = Plans::programme(
            Plans::of([
                [
                    'seconds' => 60,
                    'rest' => 10,
                    'times' => 2,
                    'sets' => [['drill' => 'calls', 'combinations' => ['1 2', '3 2']]],
                ],
            ]),
        );

        self::assertContains([60_000, 'next', 'Next: calls'], Plans::cues($programme));
    }

    public function testTracksHaveTheirOwnBellsAndRests(): void
    {
        $programme = Plans::programme(
            Plans::of(
                [
                    [
                        'seconds' => 180,
                        'rest' => 60,
                        'sets' => [['combinations' => ['1 2']]],
                        'tracks' => [['track' => 0, 'pattern' => [60, 60]], ['track' => 1]],
                    ],
                ],
                ['tracks' => [['name' => 'New', 'level' => 1], ['name' => 'Old', 'level' => 3]]],
            ),
        );
        $of = static fn (int $track, CueKind $kind): array => array_values(
            array_map(
                static fn (Cue $cue): int => $cue->atMs,
                array_filter(
                    $programme->cues,
                    static fn (Cue $cue): bool => $track === $cue->track && $kind === $cue->kind,
                ),
            ),
        );

        self::assertSame([0, 120_000], $of(0, CueKind::Bell));
        self::assertSame([60_000, 180_000], $of(0, CueKind::Rest));
        self::assertSame([0], $of(1, CueKind::Bell));
        self::assertSame([180_000], $of(1, CueKind::Rest));
        self::assertSame(240_000, $programme->lengthMs);
    }

    public function testTheSamePlanAndSeedGiveTheSameCuesAndAnotherSeedOthers(): void
    {
        $plan = Plans::set('calls', ['1', '2', '1 2', 'slip-lead 3'], 180);
        $cues = static fn (int $seed): array => Plans::cues(Plans::programme([...$plan, 'seed' => $seed]));

        self::assertSame($cues(4), $cues(4));
        self::assertNotSame($cues(4), $cues(5));
    }

    public function testEveryRepeatOfARoundDrawsItsOwnCalls(): void
    {
        $programme = Plans::programme(
            Plans::of([
                [
                    'seconds' => 120,
                    'rest' => 0,
                    'times' => 2,
                    'sets' => [['drill' => 'calls', 'combinations' => ['1', '2', '1 2']]],
                ],
            ]),
        );
        $calls = static fn (int $from): array => array_values(
            array_map(
                static fn (Cue $cue): int => $cue->atMs - $from,
                array_filter(
                    $programme->cues,
                    static fn (Cue $cue): bool => CueKind::Call === $cue->kind
                        && $cue->atMs >= $from
                        && $cue->atMs < $from + 120_000,
                ),
            ),
        );

        self::assertNotSame($calls(0), $calls(120_000));
    }

    /** The clock of a track has no gap and no overlap, and every cue is within the session. */
    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    #[TestWith([4])]
    #[TestWith([5])]
    #[TestWith([6])]
    public function testSegmentsFillTheClockOfEachTrack(int $seed): void
    {
        mt_srand($seed);
        $programme = ProgrammeBuilder::build((new PlanReader())->read(self::anyPlan())->plan);
        foreach ($programme->tracks() as $track) {
            $clock = 0;
            $segments = $programme->segments($track);
            usort($segments, static fn (Segment $one, Segment $other): int => $one->fromMs <=> $other->fromMs);
            foreach ($segments as $segment) {
                self::assertSame($clock, $segment->fromMs);
                self::assertGreaterThan($segment->fromMs, $segment->toMs);
                $clock = $segment->toMs;
            }
            self::assertSame($programme->lengthMs, $clock);
        }
        $before = 0;
        foreach ($programme->cues as $cue) {
            self::assertGreaterThanOrEqual($before, $cue->atMs);
            self::assertLessThanOrEqual($programme->lengthMs, $cue->atMs);
            $before = $cue->atMs;
        }
        self::assertSame(CueKind::End, $programme->cues[\count($programme->cues) - 1]->kind);
    }

    public function testRemindersAreAtMostTwoAndNeverTheSameAllSession(): void
    {
        $programme = Plans::programme(
            Plans::of([['seconds' => 60, 'rest' => 30, 'times' => 8, 'sets' => [['combinations' => ['1 2 3b']]]]]),
        );
        $shown = array_map(
            static fn (Cue $cue): array => $cue->reminders,
            array_values(array_filter($programme->cues, static fn (Cue $cue): bool => CueKind::Show === $cue->kind)),
        );

        self::assertCount(8, $shown);
        self::assertSame([2], array_values(array_unique(array_map(\count(...), $shown))));
        foreach (\array_slice($shown, 1) as $index => $reminders) {
            self::assertNotSame($shown[$index], $reminders);
        }
    }

    public function testTheReminderThatMendsTheCauseComesFirst(): void
    {
        $cue = Plans::programme(Plans::set('repeat', ['1 step-back 31']))->cues[1];

        self::assertSame('step first, then strike', $cue->reminders[0]);
    }

    public function testWordsAreBySideAndFollowTheStanceOfTheRound(): void
    {
        $document = (new SessionSerializer(new PlanReader()))->serialize(
            Plans::of([['seconds' => 60, 'stance' => 'other', 'sets' => [['combinations' => ['1 3b']]]]]),
        );

        self::assertSame(
            ['orthodox' => 'right jab, right hook to the body', 'southpaw' => 'left jab, left hook to the body'],
            $document->cues[1]->words,
        );
    }

    public function testANumberingOfHandsWritesEachStanceInItsOwnNumbers(): void
    {
        $document = (new SessionSerializer(new PlanReader()))->serialize(
            Plans::set('alternate', ['1 2'], with: ['numbering' => 'hands']),
        );
        $numbers = $document->cues[1]->numbers;

        self::assertNotNull($numbers);
        self::assertNotSame($numbers['orthodox'], $numbers['southpaw']);
    }

    /** @return array<string, mixed> any plan that can be written */
    private static function anyPlan(): array
    {
        $drills = array_values(DrillRegistry::all());
        $chains = ['1 2', '1 2 3', 'slip-lead 3 2', '1 2 14l', '5 6', '1 1 2'];
        $sets = static function () use ($drills, $chains): array {
            $sets = [];
            for ($count = mt_rand(1, 3); $count > 0; --$count) {
                $drill = $drills[mt_rand(0, \count($drills) - 1)]->definition();
                $sets[] = [
                    'drill' => $drill->id,
                    'combinations' => \array_slice(
                        $chains,
                        0,
                        max($drill->combinations[0], min(2, $drill->combinations[1])),
                    ),
                ];
            }

            return $sets;
        };
        $blocks = [];
        for ($count = mt_rand(1, 4); $count > 0; --$count) {
            $rounds = [];
            for ($round = mt_rand(1, 3); $round > 0; --$round) {
                $rounds[] = [
                    'seconds' => 60 * mt_rand(1, 4),
                    'rest' => 60 * mt_rand(0, 1),
                    'times' => mt_rand(1, 3),
                    'sets' => $sets(),
                    'tracks' => 0 === mt_rand(0, 1)
                            ? []
                            : [['track' => 0, 'pattern' => [20, 40]], ['track' => 1, 'sets' => $sets()]],
                ];
            }
            $blocks[] = ['kind' => 'rounds', 'rounds' => $rounds, 'changeover' => mt_rand(0, 60)];
        }

        return [
            'seed' => mt_rand(),
            'tracks' => [['name' => 'A', 'level' => 1], ['name' => 'B', 'level' => 3]],
            'blocks' => $blocks,
        ];
    }

    public function testARestAnnouncesToEachTrackWithWhatItsOwnRoundBegins(): void
    {
        $tracks = [['name' => 'One', 'level' => 1], ['name' => 'Two', 'level' => 2]];
        $lanes = [
            'seconds' => 60,
            'rest' => 30,
            'sets' => [['combinations' => ['1 2']]],
            'tracks' => [
                ['track' => 0, 'pattern' => [60, 30], 'sets' => [['combinations' => ['1']]]],
                ['track' => 1, 'pattern' => [60, 30], 'sets' => [['combinations' => ['3 2']]]],
            ],
        ];
        $programme = Plans::programme(
            Plans::of(
                [['seconds' => 60, 'rest' => 30, 'sets' => [['combinations' => ['1 1']]]], $lanes, $lanes],
                ['tracks' => $tracks],
            ),
        );
        $next = array_map(
            static fn (Cue $cue): array => [$cue->atMs, $cue->track, $cue->text],
            array_values(array_filter($programme->cues, static fn (Cue $cue): bool => CueKind::Next === $cue->kind)),
        );

        self::assertSame(
            [[60_000, 0, 'Next: 1'], [60_000, 1, 'Next: 3 2'], [150_000, 0, 'Next: 1'], [150_000, 1, 'Next: 3 2']],
            $next,
        );
    }
}
