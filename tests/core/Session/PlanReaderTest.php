<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Plan\PlanReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class PlanReaderTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *     array<string, mixed>,
     *     string,
     *     string,
     * }> a plan, the place, and a part of the sentence
     */
    public static function badPlans(): iterable
    {
        $round = ['seconds' => 60, 'sets' => [['combinations' => ['1 2']]]];
        yield 'no block' => [['blocks' => []], 'blocks', 'There is no block yet'];
        yield 'a block without rounds' => [
            ['blocks' => [['kind' => 'warm-up']]],
            'blocks[0].rounds',
            '"Warm-up" has no round yet',
        ];
        yield 'a round longer than the session' => [
            Plans::of([[...$round, 'seconds' => 4200]], ['minutes' => 60]),
            'blocks[0].rounds[0].seconds',
            'lasts 70 min, and the session has 60 min',
        ];
        yield 'longer than planned' => [
            Plans::of([[...$round, 'times' => 20]], ['minutes' => 15]),
            'minutes',
            'lasts 20 min, and there are 15 min: 5 min too long',
        ];
        yield 'an empty set' => [
            Plans::set('repeat', []),
            'blocks[0].rounds[0].sets[0].combinations',
            'This set is empty. "Repeat" asks for one combination',
        ];
        yield 'too few combinations' => [
            Plans::set('set-list', ['1 2']),
            'blocks[0].rounds[0].sets[0].combinations',
            '"Set list" asks for 2 to 5 combinations; there is 1',
        ];
        yield 'a chain that cannot be read' => [
            Plans::set('repeat', ['1 99']),
            'blocks[0].rounds[0].sets[0].combinations[0]',
            '"1 99": There is no number 99',
        ];
        yield 'a chain that breaks' => [
            Plans::set('repeat', ['1 step-back 31']),
            'blocks[0].rounds[0].sets[0].combinations[0]',
            '1 step-back 31 breaks.',
        ];
        yield 'a strike that the sport does not allow' => [
            Plans::set('repeat', ['1 2 14'], with: ['rules' => 'boxing']),
            'blocks[0].rounds[0].sets[0].combinations[0]',
            '1 2 14 breaks.',
        ];
        yield 'ten thousand rounds' => [
            Plans::of([[...$round, 'times' => 10_000]]),
            'blocks[0].rounds[0].times',
            'With this there are 10,000 rounds; at most 120 fit a session',
        ];
        yield 'too many rounds together' => [
            Plans::of([[...$round, 'times' => 100], [...$round, 'times' => 100]]),
            'blocks[0].rounds[1].times',
            'With this there are 200 rounds',
        ];
        yield 'longer than a session can be' => [
            Plans::of([[...$round, 'seconds' => 3600, 'times' => 7]]),
            'blocks',
            'at most 6 h can be run',
        ];
        yield 'no length' => [
            Plans::of([['sets' => [['combinations' => ['1 2']]]]]),
            'blocks[0].rounds[0].seconds',
            'This round has no length',
        ];
        yield 'sets that do not fill' => [
            Plans::of([
                [
                    'seconds' => 180,
                    'sets' => [
                        ['seconds' => 60, 'combinations' => ['1 2']],
                        ['seconds' => 60, 'combinations' => ['1 2 3']],
                    ],
                ],
            ]),
            'blocks[0].rounds[0].sets',
            'The sets last 120 s together, and there are 180 s',
        ];
        yield 'sets that are too long' => [
            Plans::of([['seconds' => 60, 'sets' => [['seconds' => 90, 'combinations' => ['1 2']]]]]),
            'blocks[0].rounds[0].sets',
            'The sets last 90 s together, and there are 60 s',
        ];
        yield 'an unknown drill' => [
            Plans::set('juggling', []),
            'blocks[0].rounds[0].sets[0].drill',
            'There is no drill "juggling"; there is repeat',
        ];
        yield 'a track that does not fill the cycle' => [
            Plans::of(
                [
                    [
                        'seconds' => 180,
                        'rest' => 60,
                        'tracks' => [['track' => 0, 'pattern' => [70, 30], 'sets' => [['combinations' => ['1 2']]]]],
                    ],
                ],
                ['tracks' => [['name' => 'Level 1', 'level' => 1]]],
            ),
            'blocks[0].rounds[0].tracks[0].pattern',
            'The pattern 70/30 of Level 1 is 100 s long and does not fill the cycle of 240 s',
        ];
        yield 'a track that is not there' => [
            Plans::of([[...$round, 'tracks' => [['track' => 0, 'sets' => []]]]]),
            'blocks[0].rounds[0].tracks[0].track',
            'The plan has no such track',
        ];
        yield 'a round that is no object' => [
            ['blocks' => [['rounds' => ['quickly']]]],
            'blocks[0].rounds[0]',
            'is an object with fields, not "quickly"',
        ];
        yield 'a level out of bounds' => [
            Plans::of([$round], ['level' => 9]),
            'level',
            'The level is a whole number from 1 to 3, not 9',
        ];
        yield 'unknown rules' => [
            Plans::of([$round], ['rules' => 'fencing']),
            'rules',
            'There is no "fencing" in "rules"; there is boxing',
        ];
    }

    /** @param array<string, mixed> $plan */
    #[DataProvider('badPlans')]
    public function testABadPlanGetsASentenceWithItsPlace(array $plan, string $place, string $part): void
    {
        $problems = Plans::problems($plan);

        self::assertNotSame(
            [],
            array_filter(
                $problems,
                static fn (string $problem): bool => str_starts_with($problem, $place.': ')
                    && str_contains($problem, $part),
            ),
            print_r($problems, true),
        );
    }

    #[TestWith(['text'])]
    #[TestWith([7])]
    #[TestWith([null])]
    #[TestWith([[1, 2]])]
    #[TestWith([['blocks' => 'many']])]
    #[TestWith([
        ['blocks' => [['rounds' => [['sets' => [['combinations' => [[1]], 'parameters' => 'x', 'drill' => 5]]]]]]],
    ]),]
    public function testWhatIsNoPlanIsRefusedWithoutBreaking(mixed $written): void
    {
        $reading = (new PlanReader())->read($written);

        self::assertNotSame([], $reading->problems);
    }

    public function testValidPartsOfAPlanAreKeptNextToInvalidOnes(): void
    {
        $plan = Plans::of([
            ['seconds' => 120, 'sets' => [['combinations' => ['1 99']], ['combinations' => ['1 2 3']]]],
        ]);
        $reading = (new PlanReader())->read($plan);

        self::assertCount(1, $reading->problems, print_r($reading->problems, true));
        self::assertCount(1, $reading->plan->blocks[0]->rounds[0]->everybody->sets);
        self::assertSame(60, $reading->plan->blocks[0]->rounds[0]->everybody->sets[0]->seconds);
    }

    public function testAProblemThatSeveralTracksShareIsReportedOnce(): void
    {
        $tracks = [['name' => 'One', 'level' => 1], ['name' => 'Two', 'level' => 2]];
        $plan = Plans::of(
            [
                [
                    'seconds' => 60,
                    'sets' => [['combinations' => ['1 step-back 31']]],
                    'tracks' => [['track' => 0], ['track' => 1]],
                ],
            ],
            ['tracks' => $tracks],
        );

        self::assertCount(1, Plans::problems($plan));
    }

    public function testSetsOfEverybodyNeedNotBeCompleteWhereEveryTrackHasItsOwn(): void
    {
        $tracks = [['name' => 'One', 'level' => 1], ['name' => 'Two', 'level' => 2]];
        $own = static fn (int $track): array => [
            'track' => $track,
            'sets' => [['drill' => 'repeat', 'combinations' => ['1 2']]],
        ];
        $round = ['seconds' => 60, 'sets' => [['drill' => 'repeat', 'combinations' => []]]];
        $problems = static fn (array ...$lanes): array => Plans::problems(
            Plans::of([[...$round, 'tracks' => $lanes]], ['tracks' => $tracks]),
        );

        self::assertSame([], $problems($own(0), $own(1)));
        self::assertNotSame([], $problems($own(0)), 'the second track does what everybody does');
    }

    public function testSetsWithoutSecondsShareWhatIsLeft(): void
    {
        $plan = Plans::read(
            Plans::of([
                [
                    'seconds' => 180,
                    'sets' => [
                        ['combinations' => ['1']],
                        ['seconds' => 61, 'combinations' => ['1 2']],
                        ['combinations' => ['1 2 3']],
                    ],
                ],
            ]),
        );

        self::assertSame(
            [59, 61, 60],
            array_map(static fn ($set): int => $set->seconds, $plan->blocks[0]->rounds[0]->everybody->sets),
        );
    }

    #[TestWith(['parity', '1 2 3b'])]
    #[TestWith(['body-pairs', '1 2 7'])]
    #[TestWith(['parity', 'jab cross liver hook'])]
    public function testCombinationsAreReadInAnyNumberingOrWords(string $numbering, string $chain): void
    {
        $plan = Plans::read(Plans::set('repeat', [$chain], with: ['numbering' => $numbering]));

        self::assertSame(
            'lead-hook.b',
            $plan->blocks[0]->rounds[0]->everybody->sets[0]->combinations[0]->inStance->chain->items[2]->key(),
        );
    }

    #[TestWith([45, '45 s'])]
    #[TestWith([60, '1 min'])]
    #[TestWith([735, '12 min 15 s'])]
    #[TestWith([0, '0 s'])]
    public function testTimeIsReadAsMinutesAndSeconds(int $seconds, string $text): void
    {
        self::assertSame($text, Duration::inWords($seconds));
    }
}
