<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Drawing;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Drawing\Curve;
use Periplus\Core\Drawing\LineDrawer;
use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class LineDrawingTest extends TestCase
{
    use TestTrait;

    public function testEveryItemOfAnyChainIsDrawnInsideOfThePicture(): void
    {
        $this->limitTo(120)->forAll(Chains::any())->then(static function (Chain $chain): void {
            foreach (LineSize::cases() as $size) {
                $drawing = self::drawing($chain, $size);
                self::assertCount(\count($chain), $drawing->items);
                $lanes = array_column($drawing->lanes, 'y');
                foreach ($drawing->items as $item) {
                    self::assertContainsEquals($item->y, $lanes);
                    self::assertGreaterThanOrEqual(0, $item->ms);
                    self::assertLessThanOrEqual($drawing->lengthMs, $item->ms);
                    self::assertSame('strike' === $item->kind, null !== $item->shape);
                    self::assertSame('move' === $item->kind, null !== $item->glyph);
                }
                foreach ($drawing->gaps as $gap) {
                    self::assertLessThan($gap->toMs, $gap->fromMs);
                    self::assertLessThan($gap->bottom, $gap->top);
                }
            }
        });
    }

    /** The ribbon stays within its edges and has one height at any moment. */
    public function testTheRibbonStaysBetweenItsRailsAndRunsForward(): void
    {
        $this->limitTo(120)
            ->forAll(Chains::any())
            ->then(static function (Chain $chain): void {
                $ribbon = self::drawing($chain, LineSize::Full)->ribbon;
                self::assertNotNull($ribbon);
                $before = -1.0;
                foreach ($ribbon->line->pieces as $piece) {
                    $x = $piece[\count($piece) - 2];
                    self::assertGreaterThan($before, $x);
                    $before = $x;
                    $places = array_filter(
                        array_keys($piece),
                        static fn (int $place): bool => 1 === $place % 2,
                    );
                    foreach ($places as $place) {
                        self::assertGreaterThanOrEqual($ribbon->front, $piece[$place]);
                        self::assertLessThanOrEqual($ribbon->back, $piece[$place]);
                    }
                }
            });
    }

    /** @param list<int> $shifts */
    #[TestWith(['1 +14', [0, 0]])]
    #[TestWith(['1 +2', [0, 38]])]
    #[TestWith(['1 +2 +14h', [0, 38, 76]])]
    /** @param list<int> $shifts */
    public function testJoinedStrikesAtOneHeightAreDrawnSideBySide(string $chain, array $shifts): void
    {
        self::assertSame($shifts, array_column(self::drawing(Chains::read($chain), LineSize::Full)->items, 'shift'));
    }

    #[TestWith(['1 2 2', 2, '/^"Cross, lands at \d\.\d\d s\. Reload of \d+ ms\. The hips/'])]
    #[TestWith(['1 2', 1, '/^"Cross, lands at 0\.49 s\. Flows\. Weight and hips/'])]
    #[TestWith(['slip-lead', 0, '/^"Slip lead, done at \d\.\d\d s\."$/'])]
    public function testEveryItemSaysWhenItLandsAndWhatItWaitsFor(string $chain, int $index, string $sentence): void
    {
        self::assertMatchesRegularExpression(
            $sentence,
            json_encode(
                self::drawing(Chains::read($chain), LineSize::Card)->items[$index]->sentence,
                \JSON_THROW_ON_ERROR,
            ),
        );
    }

    public function testAMonotoneCurveOvershootsNowhere(): void
    {
        $curve = Curve::monotone([[0.0, 0.0], [10.0, 1.0], [20.0, 1.0], [30.0, 5.0]])->pieces;

        self::assertSame([0.0, 0.0], $curve[0]);
        self::assertCount(4, $curve);
        self::assertSame([1.0, 1.0], [$curve[2][1], $curve[2][3]], 'Between two equal heights it is level.');
        self::assertSame([30.0, 5.0], \array_slice($curve[3], -2));
        self::assertSame([[3.0, 4.0]], Curve::monotone([[3.0, 4.0]])->pieces);
    }

    private static function drawing(Chain $chain, LineSize $size): LineDrawing
    {
        $result = Check::builtIn()->run(
            new ChainInStance($chain, Stance::Orthodox),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );

        return (new LineDrawer(new Writer(Numbering::named('parity'))))->draw(
            $result->inStance,
            $result->timing,
            $result->sway,
            $size,
        );
    }
}
