<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\FromAbove;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\FromAbove\DrawnMoment;
use Periplus\Core\FromAbove\DrawnPart;
use Periplus\Core\FromAbove\FromAbove;
use Periplus\Core\FromAbove\ViewDrawer;
use Periplus\Core\FromAbove\ViewFromAbove;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

final class ViewDrawerTest extends TestCase
{
    use TestTrait;

    public function testEveryChainHasAPlaceForBothAthletesAtEachItem(): void
    {
        $this->forAll(Chains::any(), Generators::elements(...Medium::cases()))->then(
            static function (Chain $chain, Medium $medium): void {
                foreach (self::drawn($chain, Stance::Orthodox, $medium)->views as $view) {
                    self::assertSame(
                        [null, ...array_keys($chain->items)],
                        array_values(array_map(
                            static fn (DrawnMoment $one): ?int => $one->at,
                            array_filter($view->moments, static fn (DrawnMoment $one): bool => !$one->landed),
                        )),
                    );
                    foreach ($view->moments as $moment) {
                        self::assertGreaterThanOrEqual($moment->fromMs, $moment->ms);
                        self::assertArrayHasKey($moment->them, $view->opponents);
                        foreach ($moment->us as $part) {
                            self::assertTrue(is_finite($part->x) && is_finite($part->y) && is_finite($part->turn));
                            self::assertGreaterThan($view->left, $part->x);
                            self::assertGreaterThan($view->top, $part->y);
                        }
                    }
                }
            },
        );
    }

    /** The two closed guards are each other's mirror, and so are the two open ones. */
    public function testTheMirrorSwapsLeftAndRight(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $drawn = self::drawn($chain);
            foreach ($drawn->views as $view) {
                $mirror = self::view($drawn, $view->stance->other(), $view->opponent->other());
                foreach ($view->moments as $place => $moment) {
                    $other = $mirror->moments[$place];
                    self::assertSame($moment->distanceCm, $other->distanceCm);
                    self::assertSame($moment->angle, $other->angle);
                    self::assertSame($moment->isReached, $other->isReached);
                    foreach ($moment->us as $index => $part) {
                        self::assertEqualsWithDelta(-$part->x, $other->us[$index]->x, 0.11);
                        self::assertEqualsWithDelta($part->y, $other->us[$index]->y, 0.11);
                    }
                }
            }
        });
    }

    public function testAStrikeMeetsAtTheDistanceOfItsBand(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $result = self::checked($chain, Stance::Orthodox, Medium::Shadow);
            foreach (self::drawn($chain)->views as $view) {
                foreach ($view->moments as $moment) {
                    $met = null === $moment->at ? null : $result->timing->moments[$moment->at]->met;
                    if (null !== $met && !$moment->landed) {
                        self::assertSame(35 + 30 * ($met - 1), $moment->distanceCm);
                    }
                }
            }
        });
    }

    public function testBothFeetAreDownUnlessALegStrikes(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            foreach (self::drawn($chain)->views as $view) {
                foreach ($view->moments as $moment) {
                    $item = null === $moment->at ? null : $chain->items[$moment->at];
                    $kicks = $item instanceof StrikeItem && $item->isLegStrike() && !$item->feint && !$moment->landed;
                    self::assertCount($kicks ? 1 : 2, self::parts($moment->us, 'foot'));
                    $arm = $item instanceof StrikeItem && $item->strike->limb->isArm() && !$moment->landed;
                    self::assertCount($arm ? 1 : 2, self::parts($moment->us, 'hand'));
                }
            }
        });
    }

    public function testAPushMovesTheOpponentAndABagThatStaysStays(): void
    {
        $chain = Chains::read('1 2 push 2');
        $away = self::drawn($chain)->views[0];
        self::assertCount(2, $away->opponents);
        self::assertEqualsWithDelta(-60.0, self::parts($away->opponents[1]->parts, 'head')[0]->y, 0.2);
        self::assertCount(1, self::drawn($chain, Stance::Orthodox, Medium::WallPad)->views[0]->opponents);
    }

    public function testABeatGivesTheOpponentTimeToTurn(): void
    {
        $view = self::drawn(Chains::read('1 2 step lead / 2'))->views[0];
        self::assertSame('left', $view->moments[3]->side);
        self::assertNull($view->moments[4]->side, 'They face the athlete again.');
    }

    public function testADefenceTakesTheHeadOffTheLine(): void
    {
        $view = self::drawn(Chains::read('1 slip lead 2'))->views[0];
        $head = static fn (int $place): float => self::parts($view->moments[$place]->us, 'head')[0]->x;
        self::assertEqualsWithDelta($head(1) - 22, $head(2), 0.2);
        self::assertEqualsWithDelta($head(1), $head(3), 0.2);
    }

    public function testTheMostTellingMomentsAreThoseInWhichTheSideMatters(): void
    {
        $view = self::drawn(Chains::read('1 2 3b step out 2 1 exit'))->views[0];
        self::assertSame([3, 4, 7], $view->telling(3));
        self::assertSame([0, 1, 2, 3, 4, 5, 6, 7], $view->telling(20));
    }

    /**
     * @param list<DrawnPart> $parts
     *
     * @return list<DrawnPart>
     */
    private static function parts(array $parts, string $name): array
    {
        return array_values(array_filter($parts, static fn (DrawnPart $part): bool => $name === $part->part));
    }

    private static function view(FromAbove $drawn, Stance $stance, Stance $opponent): ViewFromAbove
    {
        return $drawn->inStance($stance)->against($opponent)->views[0];
    }

    private static function drawn(
        Chain $chain,
        Stance $stance = Stance::Orthodox,
        Medium $medium = Medium::Shadow,
    ): FromAbove {
        $result = self::checked($chain, $stance, $medium);

        return ViewDrawer::draw($result->inStance, $result->timing, $result->sway, self::options($medium)->athlete);
    }

    private static function checked(Chain $chain, Stance $stance, Medium $medium): CheckResult
    {
        return Check::builtIn()->run(new ChainInStance($chain, $stance), self::options($medium));
    }

    private static function options(Medium $medium): CheckOptions
    {
        return new CheckOptions(BuiltInHouseRules::named('all-limbs'), medium: $medium);
    }
}
