<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\WrittenPlan;
use PHPUnit\Framework\TestCase;

/** A change of a written plan leaves everything else unchanged, even when other parts are broken. */
final class WrittenPlanTest extends TestCase
{
    private const PLAN = ['name' => 'A', 'ours' => 'kept', 'blocks' => [
        ['kind' => 'warm-up', 'rounds' => [['seconds' => 60, 'sets' => []]]],
        ['rounds' => [['seconds' => 1, 'sets' => []], ['seconds' => 2, 'sets' => []], ['seconds' => 3, 'sets' => []]]],
    ]];

    public function testRoundsAreNamedByTheirPlacesAndABlockWithoutAKindHasRounds(): void
    {
        $plan = new WrittenPlan(self::PLAN);

        self::assertSame(
            [[0, 0], [1, 0], [1, 1], [1, 2]],
            array_map(static fn (array $round): array => [$round[0], $round[1]], $plan->rounds()),
        );
        self::assertCount(3, $plan->rounds(BlockKind::Rounds));
        self::assertCount(0, $plan->rounds(BlockKind::Talk));
    }

    public function testARoundIsReplacedByOthersAndEverythingElseIsKept(): void
    {
        $changed = (new WrittenPlan(self::PLAN))->withRounds(1, 1, [['seconds' => 8], ['seconds' => 9]]);

        self::assertSame([60, 1, 8, 9, 3], self::seconds($changed));
        self::assertSame('kept', $changed->content['ours']);
        self::assertSame([60, 1, 2, 3], self::seconds(new WrittenPlan(self::PLAN)), 'what it was made from stays');
    }

    public function testEveryRoundIsChangedWithItsPlaces(): void
    {
        $changed = (new WrittenPlan(self::PLAN))->eachRound(
            static fn (
                array $round,
                int $block,
                int $number,
            ): array => [...$round, 'seconds' => 100 * $block + $number],
        );

        self::assertSame([0, 100, 101, 102], self::seconds($changed));
    }

    public function testWhatIsNoObjectIsPassedOver(): void
    {
        $plan = new WrittenPlan([
            'blocks' => [
                'no',
                ['rounds' => 'none'],
                [
                    'rounds' => [
                        7,
                        ['seconds' => 5, 'sets' => [['combinations' => ['1 2', ['chain' => '1', 'id' => 3]]]]],
                    ],
                ],
            ],
        ]);

        self::assertSame([5], self::seconds($plan));
        self::assertSame([['chain' => '1', 'id' => 3]], $plan->combinations());
        self::assertSame([], (new WrittenPlan(['blocks' => 4]))->blocks());
    }

    /** @return list<mixed> */
    private static function seconds(WrittenPlan $plan): array
    {
        return array_map(static fn (array $round): mixed => $round[2]['seconds'], $plan->rounds());
    }
}
