<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Technique\Catalogue;
use PHPUnit\Framework\TestCase;

/**
 * The wait of every link of two, worked out a second time, straight from the JSON and from the formula as it is
 * written down in docs/formats/check.md, without a line of the core's own arithmetic.
 *
 * @phpstan-type Row array{id: string, limb: string, role: string, targets: list<string>, out: int, back: int, needs: array{load: array{float, float}, turn: array{float, float}}, leaves: array{load: float, turn: float}, ranges: array{any: list<int>, head?: list<int>}}
 */
final class WaitFormulaTest extends TestCase
{
    private const GAP = 40;
    private const LOAD_RATE = 700;
    private const TURN_RATE = 560;
    private const FIRST_BAND = 70;
    private const NEXT_BAND = 420;
    private const SHORT_RETURN = 0.55;

    public function testWaitOfEveryPairOfStrikesFollowsTheFormula(): void
    {
        $pairs = 0;
        foreach (self::strikes() as $first) {
            foreach (self::strikes() as $second) {
                foreach ($second['targets'] as $target) {
                    $range = self::nearest($first, $first['targets'][0], 3);
                    $missing = [
                        'load' => self::outside($first['leaves']['load'], $second['needs']['load']) * self::LOAD_RATE,
                        'turn' => self::outside($first['leaves']['turn'], $second['needs']['turn']) * self::TURN_RATE,
                        'range' => self::bands(abs(self::nearest($second, $target, $range) - $range)),
                        'limb' => self::limb($first, $second),
                    ];
                    self::assertWait($missing, Chain::of([self::item($first['id'], $first['targets'][0]), self::item($second['id'], $target)]));
                    ++$pairs;
                }
            }
        }
        self::assertGreaterThan(1500, $pairs);
    }

    public function testWaitOfEveryMoveBeforeEveryStrikeFollowsTheFormula(): void
    {
        $links = 0;
        foreach (self::rows('moves.json', 'moves') as $move) {
            foreach (self::strikes() as $strike) {
                $target = $strike['targets'][0];
                $range = 'clinch' === $move['range'] ? 1 : max(1, min(5, 3 + self::whole($move['range'])));
                // From an even stance; a move that asks nothing leaves it as it is and gives its time.
                $duration = self::whole($move['duration']);
                $load = null === $move['load'] ? 0.5 : self::number($move['load']);
                $turn = null === $move['turn'] ? 0.0 : self::number($move['turn']);
                $credit = null === $move['turn'] ? $duration : 0;
                $missing = [
                    'load' => max(0.0, self::outside($load, $strike['needs']['load']) * self::LOAD_RATE - $credit),
                    'turn' => max(0.0, self::outside($turn, $strike['needs']['turn']) * self::TURN_RATE - $credit),
                    'range' => self::bands(abs(self::nearest($strike, $target, $range) - $range)),
                    'feet' => 'cross' === $move['feet'] ? 180.0 : 0.0,
                ];
                self::assertIsString($move['id']);
                self::assertWait($missing, Chain::of([new MoveItem(Catalogue::builtIn()->move($move['id'])), self::item($strike['id'], $target)]));
                ++$links;
            }
        }
        self::assertSame(31 * 27, $links);
    }

    /** @param array<string, float> $missing */
    private static function assertWait(array $missing, Chain $chain): void
    {
        rsort($missing);
        $link = (new FlowModel(Catalogue::builtIn()->body))->timing($chain, BuiltInHouseRules::named('all-limbs'))->links[0];
        $wait = $missing[0] + $missing[1] / 2;
        $expected = $wait <= 130 ? 'flows' : ($wait <= 400 ? 'reload' : 'breaks');
        $what = $chain->items[0]->key().' '.$chain->items[1]->key();

        self::assertEqualsWithDelta($wait, $link->wait, 1e-6, $what);
        // At the very limit a rounding error decides, and either is right.
        if (abs($wait - 130) > 1e-6 && abs($wait - 400) > 1e-6) {
            self::assertSame($expected, $link->verdict->value, $what);
        }
    }

    /**
     * @param Row $first
     * @param Row $second
     */
    private static function limb(array $first, array $second): float
    {
        $arm = static fn (array $row): bool => \in_array($row['limb'], ['hand', 'elbow'], true);
        if ($first['role'] !== $second['role'] || $arm($first) !== $arm($second)) {
            return 0.0;
        }

        // A leg is released when its foot is down, which is when it is home.
        return $arm($first) ? max(0.0, self::SHORT_RETURN * $first['back'] - self::GAP) : 0.0;
    }

    /** @param array{float, float} $window */
    private static function outside(float $value, array $window): float
    {
        return max(0.0, $window[0] - $value, $value - $window[1]);
    }

    private static function bands(int $bands): float
    {
        return 0 === $bands ? 0.0 : self::FIRST_BAND + ($bands - 1) * self::NEXT_BAND;
    }

    /** @param Row $row */
    private static function nearest(array $row, string $target, int $from): int
    {
        $ranges = 'head' === $target ? $row['ranges']['head'] ?? $row['ranges']['any'] : $row['ranges']['any'];
        usort($ranges, static fn (int $a, int $b): int => abs($a - $from) <=> abs($b - $from));

        return $ranges[0] ?? 3;
    }

    private static function item(string $id, string $target): StrikeItem
    {
        return new StrikeItem(Catalogue::builtIn()->strike($id), \Periplus\Core\Technique\Target::fromWord($target));
    }

    /** @return list<Row> */
    private static function strikes(): array
    {
        /** @var list<Row> $rows */
        $rows = self::rows('techniques.json', 'strikes');

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private static function rows(string $file, string $key): array
    {
        /** @var array<string, list<array<string, mixed>>> $data */
        $data = json_decode((string) file_get_contents(__DIR__.'/../../core/data/'.$file), true, flags: \JSON_THROW_ON_ERROR);

        return $data[$key];
    }

    private static function whole(mixed $value): int
    {
        self::assertIsInt($value);

        return $value;
    }

    private static function number(mixed $value): float
    {
        self::assertIsNumeric($value);

        return (float) $value;
    }
}
