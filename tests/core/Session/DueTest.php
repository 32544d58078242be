<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Session\Due\Schedule;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** When a combination comes due again. */
final class DueTest extends TestCase
{
    /**
     * @param non-empty-list<bool> $held
     */
    #[TestWith([[true], 7])]
    #[TestWith([[false], 7])]
    #[TestWith([[true, true], 14])]
    #[TestWith([[true, true, true], 28])]
    #[TestWith([[true, true, true, true, true], 56])]
    #[TestWith([[true, true, true, true, true, true], 56])]
    #[TestWith([[true, true, true, false], 14])]
    #[TestWith([[true, false], 3])]
    #[TestWith([[true, false, false, false], 3])]
    #[TestWith([[true, false, true], 6])]
    public function testWhatHeldDoublesAndWhatFellApartHalves(array $held, int $days): void
    {
        $times = array_map(
            static fn (int $index, bool $one): array => [\sprintf('2026-11-%02d', $index + 1), $one],
            array_keys($held),
            $held,
        );
        $due = (new Schedule())->after($times);

        self::assertSame(
            [$days, \count($held), $times[\count($times) - 1][0]],
            [$due->interval, $due->times, $due->last],
        );
        self::assertSame((new \DateTimeImmutable($due->last))->modify("+$days days")->format('Y-m-d'), $due->day);
    }

    #[TestWith(['2026-11-20', 5])]
    #[TestWith(['2026-11-15', 0])]
    #[TestWith(['2026-11-08', -7])]
    public function testOverdueIsCountedInDays(string $today, int $days): void
    {
        self::assertSame($days, (new Schedule())->after([['2026-11-08', true]])->overdue($today));
    }

    public function testTheHouseRulesSetTheBounds(): void
    {
        $row = BuiltInHouseRules::named('boxing')->jsonSerialize();
        $schedule = Schedule::of(
            HouseRules::of([
                ...$row,
                'thresholds' => [...$row['thresholds'], 'due-first' => 4, 'due-least' => 2, 'due-most' => 10],
            ]),
        );

        self::assertSame([4, 2, 10], [$schedule->first, $schedule->least, $schedule->most]);
        self::assertEquals(new Schedule(), Schedule::of(BuiltInHouseRules::named('boxing')));
    }

    public function testBoundsThatCrossAreTurnedRound(): void
    {
        $row = BuiltInHouseRules::named('boxing')->jsonSerialize();
        $schedule = Schedule::of(
            HouseRules::of([...$row, 'thresholds' => [...$row['thresholds'], 'due-least' => 30, 'due-most' => 10]]),
        );

        self::assertSame([10, 30], [$schedule->least, $schedule->most]);
    }
}
