<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Cause;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Moment;
use Periplus\Core\Flow\Timing\Seam;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\LeadHook;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ChainTimingTest extends TestCase
{
    use TestTrait;

    /** By hand from core/data: jab 200 out; gap 40, cross 250; gap 40, one band 70, hook 270. */
    public function testStartAndImpactOfAChainThatFlows(): void
    {
        $timing = self::timing('1 2 3');

        self::assertSame(
            [[0.0, 200.0], [240.0, 490.0], [600.0, 870.0]],
            array_map(static fn (Moment $m): array => [$m->start, $m->impact], $timing->moments),
        );
        self::assertSame(870.0, $timing->length());
        self::assertSame(70.0, $timing->waiting());
        self::assertSame(Cause::Range, $timing->links[1]->cause);
        self::assertSame(Verdict::Flows, $timing->verdict());
    }

    /**
     * By hand, half way back: turn (.8 - .25) x 560 x .55 = 169.4, load (.68 - .56) x 700 x .55 = 46.2, arm home .55 x
     * 220 - 40 = 81; 169.4 + 81 / 2 = 209.9.
     */
    public function testASecondCrossReloads(): void
    {
        $timing = self::timing('2 2');
        $link = $timing->links[0];

        self::assertEqualsWithDelta(209.9, $link->wait, 1e-9);
        self::assertSame(Verdict::Reload, $link->verdict);
        self::assertSame(Cause::Turn, $link->cause);
        self::assertSame(
            ['turn' => 169.4, 'limb' => 81.0, 'load' => 46.2],
            array_map(static fn (float $ms): float => round($ms, 6), $link->parts),
        );
        self::assertSame(
            'The hips are still through from the cross; the next cross needs them back. The rear hand is still on '
                .'its way back, and the cross needs it again.',
            $timing->reason($link),
        );
    }

    #[TestWith(['1 32', 'range', 'The rear elbow works 2 ranges nearer than the jab leaves; that needs a step in.'])]
    #[TestWith([
        '14 14',
        'limb',
        'The rear leg has just come down; the weight goes over the other one before the rear round kick.',
    ]),]
    #[TestWith([
        '3 +4',
        'turn',
        'The hips cannot turn both ways at one moment; the lead hook turns them one way and the rear hook the other.',
    ]),]
    #[TestWith([
        'slip-lead slip-lead',
        'head',
        'The head is already there from the slip lead; it has to come back before the slip lead.',
    ]),]
    #[TestWith([
        '2 check-lead',
        'load',
        'The weight is still over the front foot from the cross; the check lead needs it off that foot.',
    ]),]
    #[TestWith([
        '14 check-rear',
        'limb',
        'The rear leg has just come down; the weight goes over the other one before the check rear.',
    ]),]
    #[TestWith(['3 switch 4', 'turn', 'The hips are still through from the switch; the rear hook needs them back.'])]
    #[TestWith([
        '1 step-across 2',
        'feet',
        'The feet are still crossed from the step across; the stance has to close before the cross.',
    ]),]
    #[TestWith(['1 1', 'limb', 'The lead hand is still on its way back, and the jab needs it again.'])]
    #[TestWith([
        '2 13b',
        'load',
        'The weight is still over the front foot from the cross; the lead round kick needs it further back.',
    ]),]
    #[TestWith(['2 14l', 'turn', 'The hips are still through from the cross; the rear round kick needs them back.'])]
    #[TestWith(['slip-lead 3', 'range', 'The lead hook works one range nearer; the athlete drifts in.'])]
    #[TestWith(['13 +14', 'feet', 'The other leg is still in the air; the rear round kick needs a foot to stand on.'])]
    public function testEachCauseIsNamedInWords(string $chain, string $cause, string $reason): void
    {
        $timing = self::timing($chain);
        $last = $timing->links[\count($timing->links) - 1];

        self::assertSame($cause, $last->cause?->value);
        self::assertSame($reason, $timing->reason($last));
    }

    public function testAKickIsReleasedWhenTheFootIsDown(): void
    {
        [$kick, $jab] = self::timing('14l 1')->moments;

        self::assertSame([480.0, 900.0], [$kick->impact, $kick->end]);
        self::assertSame(940.0, $jab->start);
    }

    public function testJoinedStrikesLandAtOneMoment(): void
    {
        $timing = self::timing('1 +14h 2');

        self::assertSame($timing->moments[0]->impact, $timing->moments[1]->impact);
        self::assertSame(480.0, $timing->moments[1]->impact, 'The jab waits for the slower kick.');
        self::assertSame(
            940.0,
            $timing->moments[2]->start - $timing->links[1]->wait,
            'The foot has to come down first.',
        );
    }

    public function testAFeintCostsHalfAndReachesNothing(): void
    {
        $timing = self::timing('1 (3) 6');

        self::assertSame(135.0, (float) $timing->moments[1]->impact - $timing->moments[1]->start);
        self::assertSame(3, $timing->moments[1]->range, 'A feint does not close the distance.');
        self::assertEqualsWithDelta((0.55 + 0.41) / 2, $timing->moments[1]->load, 1e-9);
        self::assertEqualsWithDelta((-0.2 - 0.8) / 2, $timing->moments[1]->turn, 1e-9);
    }

    public function testAfterAShiftTheOtherArmIsFree(): void
    {
        self::assertSame(Verdict::Flows, self::timing('1 2 shift 1')->verdict());
        self::assertArrayNotHasKey('limb', self::timing('1 switch 1')->links[1]->parts);
    }

    public function testAKickThatLandsForwardTurnsWeightAndHipsRound(): void
    {
        $stays = self::timing('1 14l 3')->links[1];
        $walks = self::timing('1 14l> 3')->links[1];

        self::assertArrayNotHasKey('turn', $stays->parts);
        self::assertEqualsWithDelta(
            -0.5,
            self::timing('1 14l> 3')->states[2]->turn,
            1e-9,
            'The hips came round with the leg that now leads.',
        );
        self::assertArrayNotHasKey('turn', $walks->parts, 'The leg took its time to come down.');
    }

    /** By hand: 14l ends at the range of straights, 3; the hook works at 2, a step of 220 for a weight going back. */
    public function testWhereTheFootOfAKickComesDownDecidesTheRange(): void
    {
        self::assertEqualsWithDelta(220.0, self::timing('14l 3')->links[0]->wait, 1e-9);
        self::assertSame(0.0, self::timing('14l> 3')->links[0]->wait, 'In front: one band nearer.');
        self::assertSame(0.0, self::timing('14l 2')->links[0]->wait, 'A straight reaches.');
        self::assertEqualsWithDelta(290.0, self::timing('13l< 3')->links[0]->wait, 1e-9, 'Behind: two bands away.');
        self::assertEqualsWithDelta(70.0, self::timing('13l 3')->links[0]->wait, 1e-9, 'A lead leg falls in front.');
        self::assertSame(3, self::timing('1 2 3 14l')->moments[3]->range, 'The kick took the room that it needs.');
    }

    /**
     * By hand: 5 leaves turn -0.65 and the hook needs -0.25, so 0.4 of 560 ms is 224; 0.3 of it is 67.2. The arm is
     * back 0.3 of 220 after impact, 66, less the gap of 40: 26. 67.2 + 13 = 80.2. The hook goes out in 0.8 of 270.
     */
    public function testAHandThatTurnsOverDoesNotComeHome(): void
    {
        $timing = self::timing('5 3');

        self::assertEqualsWithDelta(80.2, $timing->links[0]->wait, 1e-6);
        self::assertEqualsWithDelta(216.0, (float) $timing->moments[1]->impact - $timing->moments[1]->start, 1e-6);
        self::assertSame(Verdict::Reload, self::timing('3 5')->verdict(), 'A hook does not turn over.');
        self::assertSame(Verdict::Reload, self::timing('5 / 3 3')->verdict());
        $blocked = self::timing('5 block-rear 3')->moments[2];
        self::assertEqualsWithDelta(270.0, (float) $blocked->impact - $blocked->start, 1e-6, 'The hand has come home.');
    }

    /** By hand: the push leaves 5 bands; the bag comes back to 3, from where the hook drifts one band, 70 ms. */
    public function testAPushedBagSwingsBack(): void
    {
        $on = static fn (string $chain, Medium $medium): Link => \array_slice(
            (new FlowModel())->timing(
                Chains::read($chain),
                BuiltInHouseRules::named('all-limbs'),
                medium: $medium,
            )->links,
            -1,
        )[0];

        self::assertEqualsWithDelta(510.0, $on('push 3', Medium::Shadow)->wait, 1e-9);
        self::assertEqualsWithDelta(70.0, $on('push 3', Medium::Bag)->wait, 1e-9);
        self::assertEqualsWithDelta(70.0, $on('push 3', Medium::WallPad)->wait, 1e-9);
        self::assertSame(0, $on('push 14h', Medium::Bag)->bands, 'It is hit on its way.');
        self::assertEqualsWithDelta(70.0, $on('push pivot-out 3', Medium::Bag)->wait, 1e-9);
        self::assertEqualsWithDelta(510.0, $on('push exit 3', Medium::Bag)->wait, 1e-9, 'The athlete has left.');
        self::assertEqualsWithDelta(70.0, $on('push / 3', Medium::Bag)->wait, 1e-9, 'It hangs still again.');
    }

    /** By hand: two crosses wait 210 ms; a gap of 100 gives the hips that time, 169 - 100 and the arm 81 - 100. */
    public function testALoopGoesFromItsLastItemBackToItsFirst(): void
    {
        $seam = static fn (string $chain, float $gap = 0.0): Seam => (new FlowModel())->seam(
            self::timing($chain),
            $gap,
        );

        self::assertEqualsWithDelta(self::timing('2 2')->links[0]->wait, $seam('2')->link->wait, 1e-9);
        self::assertEqualsWithDelta(self::timing('1 2 3 1')->links[2]->wait, $seam('1 2 3')->link->wait, 1e-9);
        self::assertLessThan(130.0, $seam('2', 100.0)->link->wait);
        self::assertSame(0.0, $seam('2', 500.0)->link->wait);
        self::assertSame(0.0, $seam('1 2 exit', 300.0)->link->wait, 'There is time to step back in.');
        self::assertSame(Verdict::Flows, $seam('switch 1')->link->verdict);
        self::assertStringContainsString('needs it again', $seam('2')->reason());
    }

    /** By hand: the hook works at 2; from 4 it is two bands away, 70 + 220. The jab at 2 is a step out of the hold. */
    public function testAChainMaySayWhereItBegins(): void
    {
        self::assertEqualsWithDelta(290.0, self::timing('long-range 3')->links[0]->wait, 1e-9);
        self::assertSame(0.0, self::timing('close-range 3')->links[0]->wait);
        self::assertEqualsWithDelta(220.0, self::timing('clinched 1')->links[0]->wait, 1e-9, 'No drift out.');
        self::assertSame(0, self::timing('clinched 22')->links[0]->bands);
        self::assertSame(0.0, self::timing('close-range 3 2')->moments[1]->start, 'It takes no time.');
        self::assertEqualsWithDelta(
            self::timing('3 2')->length(),
            self::timing('close-range 3 2')->length(),
            1e-9,
        );
        self::assertSame(
            (new FlowModel())->seam(self::timing('3 2'))->link->wait,
            (new FlowModel())->seam(self::timing('close-range 3 2'))->link->wait,
        );
    }

    /** The seam of a chain is the link that the chain written twice has in its middle. */
    public function testTheSeamIsTheMiddleOfTheChainWrittenTwice(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $first = $chain->items[0];
            if (2 * \count($chain) > Chain::MAX_ITEMS || ($first instanceof MoveItem && $first->move->isStart())) {
                return;
            }
            $twice = Chain::of([...$chain->items, ...$chain->items]);
            $rules = BuiltInHouseRules::named('all-limbs');
            $link = (new FlowModel())->timing($twice, $rules)->links[\count($chain) - 1];
            $timing = (new FlowModel())->timing($chain, $rules);

            self::assertEquals($link, (new FlowModel())->seam($timing)->link);
        });
    }

    /** By hand: the slip leaves 0.70, the step needs 0.50 at most: 0.2 of 700 ms, half of it on the way of the slip. */
    public function testAStepThatGoesWhereTheSlipGoesBeginsWithIt(): void
    {
        self::assertEqualsWithDelta(70.0, self::timing('slip-lead step-out')->links[0]->wait, 1e-6);
        self::assertEqualsWithDelta(126.0, self::timing('2 step-out')->links[0]->wait, 1e-6, 'A cross is no slip.');
    }

    /**
     * By hand, all the way back: turn 308 - 130 of the block's time = 178; the arm is home 220 after impact, 10 after
     * the block and its gaps.
     */
    public function testAMoveThatAsksNothingGivesTheBodyItsTime(): void
    {
        $without = self::timing('2 2')->links[0];
        $with = self::timing('2 block-lead 2')->links[1];

        self::assertEqualsWithDelta(178.0 + 10.0 / 2, $with->wait, 1e-9);
        self::assertLessThan($without->wait, $with->wait);
    }

    public function testABeatResetsTheBody(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $before = $chain;
            $chain = Chain::of([...\array_slice($before->items, 0, 60), ...Chains::read('/ 2')->items]);
            $link = self::timingOf($chain)->links[\count($chain) - 2];
            self::assertSame(
                [],
                array_diff(array_keys($link->parts), ['range']),
                'After a beat only the distance can be missing.',
            );
        });
    }

    public function testTheFrontFootSchoolMovesTheWeight(): void
    {
        $kickboxing = BuiltInHouseRules::named('kickboxing');
        $frontFoot = new HouseRules('own', 'Own', Limb::cases(), new Schools(LeadHook::FrontFoot), [], []);
        $chain = Chains::read('3 14l');
        $model = new FlowModel();

        self::assertEqualsWithDelta((0.55 - 0.41) * 700, $model->timing($chain, $kickboxing)->links[0]->wait, 1e-9);
        self::assertSame(
            0.0,
            $model->timing($chain, $frontFoot)->links[0]->wait,
            'Over the front foot the rear kick has its standing leg.',
        );
    }

    #[TestWith([1.6, 'reload'])]
    #[TestWith([1.0, 'reload'])]
    #[TestWith([0.8, 'breaks'])]
    public function testAChainCanFlowSlowlyAndBreakWhenFast(float $tempo, string $verdict): void
    {
        self::assertSame($verdict, self::timing('1 2 18', $tempo)->verdict()->value);
        self::assertSame(Verdict::Flows, self::timing('slip-rear 3', 1.6)->verdict());
        self::assertSame(Verdict::Reload, self::timing('slip-rear 3', 1.0)->verdict());
    }

    public function testRatesOfTheBodyDoNotFollowTheTempo(): void
    {
        $slow = self::timing('2 13b', 1.6)->links[0];
        $fast = self::timing('2 13b', 0.8)->links[0];

        self::assertSame($slow->parts['load'], $fast->parts['load']);
        self::assertSame(250 * 1.6, self::timing('2', 1.6)->length());
    }

    public function testPartsOfEveryWaitAddUp(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $timing = self::timingOf($chain);
            self::assertCount(\count($chain), $timing->moments);
            self::assertCount(\count($chain) - 1, $timing->links);
            foreach ($timing->links as $index => $link) {
                self::assertSame($index + 1, $link->to);
                self::assertGreaterThanOrEqual(0.0, $link->wait);
                $parts = array_values($link->parts);
                self::assertEqualsWithDelta(($parts[0] ?? 0.0) + ($parts[1] ?? 0.0) / 2, $link->wait, 1e-9);
                self::assertSame(0.0 === $link->wait, null === $link->cause);
            }
            foreach ($timing->moments as $index => $moment) {
                $item = $chain->items[$index];
                self::assertGreaterThanOrEqual(0.0, $moment->start);
                $item instanceof MoveItem && $item->move->isStart()
                    ? self::assertSame($moment->start, $moment->end, 'It takes no time.')
                    : self::assertGreaterThan($moment->start, $moment->end);
                self::assertThat(
                    $moment->load,
                    self::logicalAnd(self::greaterThanOrEqual(0), self::lessThanOrEqual(1)),
                );
                self::assertThat(
                    $moment->turn,
                    self::logicalAnd(self::greaterThanOrEqual(-1), self::lessThanOrEqual(1)),
                );
                self::assertContains($moment->range, [1, 2, 3, 4, 5]);
                if ($chain->joinsStrike($index)) {
                    self::assertSame($timing->moments[$index - 1]->impact, $moment->impact);
                } elseif ($chain->goesWithMove($index)) {
                    $move = $timing->moments[$index - 1];
                    $wait = $timing->links[$index - 1]->wait;
                    self::assertGreaterThanOrEqual($move->start + $wait - 1e-6, $moment->start);
                    self::assertGreaterThanOrEqual($move->end - 1e-6, $moment->impact);
                } elseif ($item instanceof StrikeItem && $item->legUp) {
                    $before = $timing->moments[$index - 1];
                    self::assertSame($moment->start, $before->end, 'The foot has not come down in between.');
                    self::assertGreaterThan($before->impact, $moment->start - $timing->links[$index - 1]->wait);
                } elseif ($index > 0) {
                    $released = array_reduce(
                        \array_slice($timing->moments, 0, $index),
                        static fn (float $end, Moment $m): float => max($end, $m->end),
                        0.0,
                    );
                    $first = $chain->items[0];
                    // What follows where the chain begins does so without a gap.
                    $gap = 1 === $index && $first instanceof MoveItem && $first->move->isStart() ? 0.0 : 40.0;
                    $next = $chain->items[$index + 1] ?? null;
                    $start = $moment->start - $timing->links[$index - 1]->wait;
                    // A strike that another is joined to may start later, so that both land together.
                    $next instanceof StrikeItem && $next->joined
                        ? self::assertGreaterThanOrEqual($released + $gap - 0.001, $start)
                        : self::assertEqualsWithDelta($released + $gap, $start, 1e-6);
                }
            }
        });
    }

    public function testTimingIsTheSameForBothStances(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            self::assertEquals(self::timingOf($inStance->chain), self::timingOf($inStance->mirror()->chain));
        });
    }

    public function testLaterItemsDoNotChangeEarlierTimings(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $chain = Chain::of(\array_slice($chain->items, 0, 40));
            $longer = Chain::of([...$chain->items, ...Chains::read('1 2')->items]);
            self::assertEquals(
                self::timingOf($chain)->links,
                \array_slice(self::timingOf($longer)->links, 0, \count($chain) - 1),
            );
        });
    }

    private static function timing(string $text, float $tempo = 1.0): ChainTiming
    {
        return self::timingOf(Chains::read($text), $tempo);
    }

    private static function timingOf(Chain $chain, float $tempo = 1.0): ChainTiming
    {
        return (new FlowModel())->timing($chain, BuiltInHouseRules::named('all-limbs'), $tempo);
    }
}
