<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Similarity;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\Family;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

final class FamilyTest extends TestCase
{
    use TestTrait;

    public function testACombinationGrewFromItsLongestBeginning(): void
    {
        $chains = ['1 2', '1 2 3', '1 2 3 2', '1 2b', '1 2 6', '2 3', '1 2 3 2 14l'];

        self::assertSame(
            [1 => null, 2 => 1, 3 => 2, 4 => null, 5 => 1, 6 => null, 7 => 3],
            self::parents(array_map(Chains::read(...), $chains)),
        );
    }

    /** One walk finds what comparing all pairs finds. */
    public function testFamilyWalkFindsWhatComparingAllFinds(): void
    {
        $short = Generators::map(
            static fn (Chain $chain): Chain => Chain::of(\array_slice($chain->items, 0, 3)),
            Chains::any(),
        );
        $this->limitTo(60)
            ->forAll(Generators::vector(30, $short))
            ->then(static function (array $chains): void {
                /** @var list<Chain> $chains */
                $texts = array_map(static fn (Chain $chain): string => Sequence::of($chain)->text(), $chains);
                foreach (self::parents($chains) as $id => $parent) {
                    $longest = '';
                    foreach ($texts as $text) {
                        if (Family::begins($text, $texts[$id - 1]) && \strlen($text) > \strlen($longest)) {
                            $longest = $text;
                        }
                    }
                    self::assertSame($longest, null === $parent ? '' : $texts[$parent - 1]);
                }
            });
    }

    /**
     * @param list<Chain> $chains
     *
     * @return array<int, int|null>
     */
    private static function parents(array $chains): array
    {
        $rows = array_map(
            static fn (Chain $chain, int $index): array => [$index + 1, Sequence::of($chain)->text()],
            $chains,
            array_keys($chains),
        );
        usort($rows, static fn (array $a, array $b): int => [strcmp($a[1], $b[1]), $a[0]] <=> [0, $b[0]]);
        $parents = Family::parents($rows);
        ksort($parents);

        return $parents;
    }
}
