<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Technique\Catalogue;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

/**
 * The edit distance compared with PHP's own levenshtein(), which follows V. Levenshtein, "Binary codes capable of
 * correcting deletions, insertions, and reversals", Soviet Physics Doklady 10, 1966: with all weights 1 they are equal.
 */
final class EditDistanceTest extends TestCase
{
    use TestTrait;

    public function testWithEqualWeightsItIsTheLevenshteinDistance(): void
    {
        $unit = new EditDistance(Catalogue::builtIn(), [
            'target' => 0.0,
            'mark' => 0.0,
            'sameLimb' => 1.0,
            'otherSide' => 1.0,
            'otherStrike' => 1.0,
            'strike' => 1.0,
            'move' => 1.0,
            'near' => 1.0,
        ]);
        $this->limitTo(300)
            ->forAll(Chains::any(), Chains::any())
            ->then(static function (Chain $one, Chain $other) use ($unit): void {
                $strikes = static fn (Chain $chain): Sequence => Sequence::of(
                    Chain::of(
                        array_map(
                            static fn (StrikeItem $item): StrikeItem => $item->with(joined: false),
                            array_values($chain->strikes()),
                        ),
                    ),
                );
                [$a, $b] = [$strikes($one), $strikes($other)];
                // levenshtein() compares bytes, so each strike becomes one byte.
                $signs = array_column(Catalogue::builtIn()->strikes, 'sign');
                $bytes = static fn (Sequence $sequence): string => implode(
                    '',
                    array_map(
                        static fn (string $sign): string => \chr((int) array_search($sign, $signs, true)),
                        $sequence->strikes(),
                    ),
                );
                self::assertEqualsWithDelta((float) levenshtein($bytes($a), $bytes($b)), $unit->distance($a, $b), 1e-9);
            });
    }
}
