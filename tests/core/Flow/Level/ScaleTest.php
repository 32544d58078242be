<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow\Level;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Level\Difficulty;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ScaleTest extends TestCase
{
    use TestTrait;

    #[TestWith(['1 2 exit', 1])]
    #[TestWith(['1 2 3 exit', 1])]
    #[TestWith(['1 2 slip-lead 3 2 exit', 2])]
    #[TestWith(['1 2 shift 1 2 exit', 3])]
    #[TestWith(['1 2 step-in post 38 exit', 3])]
    public function testTheLevelsOfWellKnownChains(string $chain, int $level): void
    {
        self::assertSame($level, self::of(Chains::read($chain))->level);
    }

    /** By hand from core/data/level.json: three different strikes .4, one change of height .3. */
    public function testThePointsAddUp(): void
    {
        $difficulty = self::of(Chains::read('1 2 3b exit'));

        self::assertEqualsWithDelta(0.7, $difficulty->points, 1e-9);
        self::assertSame(
            ['weapons' => '3 different strikes', 'heights' => 'the height changes once'],
            array_column($difficulty->reasons, 'message', 'id'),
        );
    }

    public function testAFasterTempoIsNeverEasier(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            self::assertGreaterThanOrEqual(self::of($chain, 1.6)->points, self::of($chain)->points);
            self::assertGreaterThanOrEqual(self::of($chain)->points, self::of($chain, 0.8)->points);
        });
    }

    public function testALongerChainIsNeverEasier(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $shorter = Chain::of(\array_slice($chain->items, 0, 40));
            $longer = Chain::of([...$shorter->items, ...Chains::read('/ 1 2')->items]);
            self::assertGreaterThanOrEqual(self::of($shorter)->points, self::of($longer)->points);
        });
    }

    public function testTheReasonsCarryThePoints(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $difficulty = self::of($chain);
            self::assertEqualsWithDelta(
                $difficulty->points,
                array_sum(array_column($difficulty->reasons, 'points')),
                0.15,
            );
            self::assertContains($difficulty->level, [1, 2, 3]);
        });
    }

    private static function of(Chain $chain, float $tempo = 1.0): Difficulty
    {
        return Scale::builtIn()->difficulty(
            Check::builtIn()->run(
                new ChainInStance($chain, Stance::Orthodox),
                new CheckOptions(BuiltInHouseRules::named('all-limbs'), $tempo),
            ),
            $tempo,
        );
    }
}
