<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Similarity;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\DeletionNeighbourhood;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Similarity\Relation;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class EditDistanceTest extends TestCase
{
    use TestTrait;

    #[TestWith(['1 2 3', '1 2 3', 0.0])]
    #[TestWith(['1 2 3!', '1~ 2 3', 0.0])]
    #[TestWith(['1 2 3', '1 2 3b', 0.25])]
    #[TestWith(['1 2 3', '1 2 (3)', 0.25])]
    #[TestWith(['1 2 3 exit', '1 2 3', 0.5])]
    #[TestWith(['1 2 3 exit', '1 2 3 circle-lead', 0.5])]
    #[TestWith(['1 2 3', '1 2 5', 0.75])]
    #[TestWith(['1 2 3', '1 2 5b', 1.0])]
    #[TestWith(['1 2 3', '1 2 3 2', 1.0])]
    #[TestWith(['1 2 3', '1 2 4', 1.5])]
    #[TestWith(['1 2 3', '1 2 14', 2.0])]
    public function testTheSameStrikeElsewhereIsNearAndTheOtherHandIsFar(
        string $one,
        string $other,
        float $distance,
    ): void {
        self::assertEqualsWithDelta($distance, self::distance(Chains::read($one), Chains::read($other)), 1e-9);
    }

    public function testEditDistanceIsAMetric(): void
    {
        $this->limitTo(200)
            ->forAll(Chains::any(), Chains::any(), Chains::any())
            ->then(static function (Chain $a, Chain $b, Chain $c): void {
                self::assertSame(0.0, self::distance($a, $a));
                self::assertEqualsWithDelta(self::distance($a, $b), self::distance($b, $a), 1e-9);
                self::assertLessThanOrEqual(
                    self::distance($a, $b) + self::distance($b, $c) + 1e-9,
                    self::distance($a, $c),
                );
            });
    }

    /** The index finds what comparing with every combination finds. */
    public function testNeighbourhoodIndexFindsEveryNearChain(): void
    {
        $distance = EditDistance::builtIn();
        $short = Generators::map(
            static fn (Chain $chain): Chain => Chain::of(\array_slice($chain->items, 0, 5)),
            Chains::any(),
        );
        $this->limitTo(40)
            ->forAll(Generators::vector(40, $short), Generators::choose(0, 39))
            ->then(static function (array $library, int $index) use ($distance): void {
                // Similar chains are mixed in: one item left out, or at the end of another.
                foreach (\array_slice($library, 0, 20) as $chain) {
                    \assert($chain instanceof Chain);
                    $items = $chain->items;
                    if (\count($items) > 1) {
                        array_pop($items);
                        $library[] = Chain::of($items);
                    }
                }
                $asked = $library[$index];
                \assert($asked instanceof Chain);
                $wanted = Sequence::of($asked);
                $traces = DeletionNeighbourhood::hashes($wanted);
                foreach ($library as $chain) {
                    \assert($chain instanceof Chain);
                    $other = Sequence::of($chain);
                    $near =
                        $distance->distance($wanted, $other) <= $distance->near()
                        || \in_array(
                            Relation::between($wanted, $other, $distance),
                            [Relation::Same, Relation::TargetDiffers, Relation::OneApart],
                            true,
                        );
                    self::assertTrue(
                        !$near || [] !== array_intersect($traces, DeletionNeighbourhood::hashes($other)),
                        bin2hex($wanted->text()).' and '.bin2hex($other->text()),
                    );
                }
            });
    }

    #[TestWith(['1 2 3', '1 2 3', Relation::Same])]
    #[TestWith(['1 2 3', '1 2b 3b', Relation::TargetDiffers])]
    #[TestWith(['1 2 3', '1 2 6', Relation::OneApart])]
    #[TestWith(['1 2 3', '1 2', Relation::OneApart])]
    #[TestWith(['1 2 3', '1 slip-lead 2 3', Relation::OneApart])]
    #[TestWith(['1 2 3', '11 1 2 3 14 exit', Relation::ContainedIn])]
    #[TestWith(['11 1 2 3 14 exit', '1 2 3', Relation::Contains])]
    #[TestWith(['1 2 3 exit', '1 2 3b circle-lead', Relation::Alike])]
    #[TestWith(['1 2 3', '13 14 15', null])]
    public function testRelationsHaveNames(string $one, string $other, ?Relation $relation): void
    {
        self::assertSame(
            $relation,
            Relation::between(
                Sequence::of(Chains::read($one)),
                Sequence::of(Chains::read($other)),
                EditDistance::builtIn(),
            ),
        );
    }

    private static function distance(Chain $one, Chain $other): float
    {
        return EditDistance::builtIn()->distance(Sequence::of($one), Sequence::of($other));
    }
}
