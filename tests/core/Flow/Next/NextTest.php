<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow\Next;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Next\Continuation;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class NextTest extends TestCase
{
    use TestTrait;

    public function testAKickWhoseFootComesDownHalfWayIsAsUsualAsTheKick(): void
    {
        $usage = Usage::shipped('kickboxing');

        self::assertSame(
            $usage->surprise(Chains::read('1 2 14l 2')),
            $usage->surprise(Chains::read('1 2 14l_ 2')),
        );
        self::assertNotSame(
            $usage->surprise(Chains::read('1 2 14l 2')),
            $usage->surprise(Chains::read('1 2 14l> 2')),
        );
    }

    public function testAfterACrossTheLeadHookComesBeforeAnotherCross(): void
    {
        $keys = array_map(static fn (Continuation $next): string => $next->item->key(), self::after('1 2'));

        self::assertLessThan(array_search('cross.h', $keys, true), array_search('lead-hook.h', $keys, true));
        self::assertSame(
            \count(array_filter(
                Catalogue::builtIn()->moves,
                static fn (Move $move): bool => !$move->isStart(),
            )),
            \count(
                array_filter(
                    self::after('1 2'),
                    static fn (Continuation $next): bool => !$next->item instanceof StrikeItem,
                ),
            ),
        );
        $cross = self::after('1 2')[(int) array_search('cross.h', $keys, true)];
        self::assertSame('turn', $cross->cause?->value);
        self::assertStringStartsWith('The hips are still through', $cross->reason);
    }

    public function testWhatTheSportDoesNotLetLandIsNotOffered(): void
    {
        $boxing = CheckServices::load()->next->after(
            Chains::read('1 2')->items,
            new CheckOptions(BuiltInHouseRules::named('boxing')),
        );
        $limbs = array_unique(
            array_map(
                static fn (Continuation $next): string => $next->item instanceof StrikeItem
                    ? $next->item->strike->limb->value
                    : 'move',
                $boxing,
            ),
        );

        self::assertSame(['hand', 'move'], array_values($limbs));
    }

    public function testWhatFollowsSoonerTiedToTheItemBeforeItIsOfferedSo(): void
    {
        $writer = new Writer(Numbering::named('parity'));
        $texts = static fn (string $before): array => array_map(
            static fn (Continuation $next): string => $writer->item($next->item, Stance::Orthodox),
            self::after($before),
        );

        self::assertContains('+2', $texts('1 slip-lead'));
        self::assertNotContains('+14', $texts('1 slip-lead'), 'nobody kicks with a slip');
        self::assertSame([], preg_grep('/[+]/', $texts('1 2 exit')), 'nobody strikes as he leaves');
        self::assertContains('^14h', $texts('1 2 14l'));
        self::assertNotContains('^13h', $texts('1 2 14l'));
        self::assertSame([], preg_grep('/[+^]/', $texts('1 2')));
    }

    /** Common practice, no source. */
    #[TestWith(['1 2', '3'])]
    #[TestWith(['1 2 3', '2'])]
    #[TestWith(['1 2 3 roll-rear', '2'])]
    #[TestWith(['slip-lead', '3'])]
    #[TestWith(['1 2 clinch', '22'])]
    #[TestWith(['1 2 14', '2'])]
    #[TestWith(['', '1'])]
    public function testWhatIsUsualComesFirst(string $before, string $expected): void
    {
        $next = self::after($before)[0];

        self::assertSame($expected, (new Writer(Numbering::named('parity')))->item($next->item, Stance::Orthodox));
    }

    public function testAGymThatThrowsItPutsItFirst(): void
    {
        $gym = Usage::counted(array_fill(0, 200, [Sequence::of(Chains::read('1 2 64'))->items, 1.0]));
        $options = new CheckOptions(BuiltInHouseRules::named('boxing'));
        $place = static fn (?Usage $usage): int|false => array_search(
            'spinning-back-fist',
            array_map(
                static fn (Continuation $next): string => $next->item instanceof StrikeItem
                    ? $next->item->strike->id
                    : '',
                CheckServices::load()->next->after(Chains::read('1 switch 2')->items, $options, $usage),
            ),
            true,
        );
        $at = $place(Usage::shipped('boxing')->with($gym));

        self::assertIsInt($at);
        self::assertGreaterThan($at, $place(null));
    }

    public function testAnyChainCanBeginWithAnything(): void
    {
        foreach (self::after('') as $next) {
            self::assertSame(0.0, $next->wait);
            self::assertStringStartsWith('The chain can begin with', $next->reason);
        }
    }

    /** Each continuation has the timing of the last link of the longer chain. */
    public function testEveryContinuationEqualsTheTimingOfTheLongerChain(): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'), 0.8);
        $model = new FlowModel();
        $this->limitTo(20)->forAll(Chains::any())->then(static function (Chain $chain) use ($options, $model): void {
            $before = \array_slice($chain->items, 0, 20);
            $last = 0;
            foreach (CheckServices::load()->next->after($before, $options) as $next) {
                $timing = $model->timing(Chain::of([...$before, $next->item]), $options->rules, 0.8);
                $link = $timing->links[\count($before) - 1];
                self::assertSame($link->wait, $next->wait);
                self::assertSame($link->verdict, $next->verdict);
                self::assertSame($timing->reason($link), $next->reason);
                self::assertGreaterThanOrEqual($last, $next->verdict->rank(), 'What flows comes first.');
                $last = $next->verdict->rank();
            }
        });
    }

    /** @return list<Continuation> */
    private static function after(string $text): array
    {
        return CheckServices::load()->next->after(
            '' === $text ? [] : Chains::read($text)->items,
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
    }
}
