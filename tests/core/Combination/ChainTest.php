<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Combination;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;
use Periplus\Core\Technique\UnknownTechnique;
use Periplus\Core\Technique\Window;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Impossible chains cannot be constructed. */
final class ChainTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): mixed, string}> */
    public static function impossible(): iterable
    {
        $strike = static fn (string $id, ?Target $target = null): StrikeItem => new StrikeItem(
            Catalogue::builtIn()->strike($id),
            $target ?? Catalogue::builtIn()->strike($id)->defaultTarget(),
        );
        yield 'a jab to the leg' => [
            static fn () => $strike('jab', Target::Leg),
            'The jab does not go to the leg, only to head or body.',
        ];
        yield 'a lead kick landing forward' => [
            static fn () => $strike('lead-round-kick')->with(landing: Landing::Forward),
            'Only a kick or knee of the rear leg can land forward, the lead round kick cannot.',
        ];
        yield 'no free strikes' => [static fn () => new FreeStrikes(0), 'Free strikes are 1 to 12 at a time, not 0.'];
        yield 'too many free strikes' => [
            static fn () => new FreeStrikes(13),
            'Free strikes are 1 to 12 at a time, not 13.',
        ];
        yield 'joined to nothing' => [
            static fn () => Chain::of([$strike('cross')->with(joined: true)]),
            'A strike joined with + needs a delivered strike or a move directly before it.',
        ];
        yield 'joined to a beat' => [
            static fn () => Chain::of([$strike('jab'), new Beat(), $strike('cross')->with(joined: true)]),
            'A strike joined with + needs a delivered strike or a move directly before it.',
        ];
        yield 'joined to a feint' => [
            static fn () => Chain::of([$strike('jab')->with(feint: true), $strike('cross')->with(joined: true)]),
            'A strike joined with + needs a delivered strike or a move directly before it.',
        ];
        yield 'joined and feinted' => [
            static fn () => Chain::of([$strike('jab'), $strike('cross')->with(feint: true, joined: true)]),
            'A feint lands nowhere, so the cross cannot be feinted and joined.',
        ];
        yield 'joined with the same arm' => [
            static fn () => Chain::of([$strike('jab'), $strike('lead-elbow')->with(joined: true)]),
            'Two strikes land together only from different limbs; the lead elbow uses the limb of the strike it is '
                .'joined to.',
        ];
        yield 'joined over another to the same arm' => [
            static fn () => Chain::of([
                $strike('jab'),
                $strike('rear-round-kick')->with(joined: true),
                $strike('lead-hook')->with(joined: true),
            ]),
            'Two strikes land together only from different limbs; the lead hook uses the limb of the strike it is '
                .'joined to.',
        ];
        yield 'joined to a kick that lands forward' => [
            static fn () => Chain::of([
                $strike('rear-knee')->with(landing: Landing::Forward),
                $strike('jab')->with(joined: true),
            ]),
            'Of strikes that land together only the last can land in front or behind; put the jab before it.',
        ];
        yield 'too long' => [
            static fn () => Chain::of(array_fill(0, Chain::MAX_ITEMS + 1, $strike('jab'))),
            'A chain holds at most 64 items.',
        ];
    }

    /** @param \Closure(): mixed $make */
    #[DataProvider('impossible')]
    public function testImpossibleChainsAreRefused(\Closure $make, string $sentence): void
    {
        $this->expectException(InvalidChain::class);
        $this->expectExceptionMessage($sentence);
        $make();
    }

    public function testHandAndLegOrBothArmsMayLandTogether(): void
    {
        self::assertCount(2, Chains::read('1 +14'));
        self::assertCount(2, Chains::read('1 +2'));
        self::assertCount(3, Chains::read('1 +2 +14'));
        self::assertCount(Chain::MAX_ITEMS, Chain::of(array_fill(0, Chain::MAX_ITEMS, new Beat())));
    }

    /** @param list<string> $sides */
    #[TestWith(['1 2 3', ['left', 'right', 'left'], 'orthodox'])]
    #[TestWith(['1 switch 1 2', ['left', '', 'right', 'left'], 'southpaw'])]
    #[TestWith(['1 shift 1 shift-back 1', ['left', '', 'right', '', 'left'], 'orthodox'])]
    #[TestWith(['14> 1 22> 1', ['right', 'right', 'left', 'left'], 'orthodox'])]
    #[TestWith(['14_ 1', ['right', 'left'], 'orthodox'])]
    #[TestWith(['(14) 1', ['right', 'left'], 'orthodox'])]
    #[TestWith(['15 1', ['left', 'left'], 'orthodox'])]
    #[TestWith(['slip-lead step-across pivot-out duck', ['left', 'right', 'left', ''], 'orthodox'])]
    #[TestWith(['1 / *3', ['left', '', ''], 'orthodox'])]
    public function testTheWalkKnowsTheSideOfEveryItemAndTheStanceAtTheEnd(
        string $text,
        array $sides,
        string $end,
    ): void {
        $inStance = Chains::inStance($text);

        self::assertSame(
            $sides,
            array_map(
                static fn (int $index): string => $inStance->side($index)->value ?? '',
                array_keys($inStance->chain->items),
            ),
        );
        self::assertSame($end, $inStance->end->value);
    }

    public function testAFeintedKickDoesNotChangeTheStance(): void
    {
        $kick = new StrikeItem(
            Catalogue::builtIn()->strike('rear-round-kick'),
            Target::Body,
            feint: true,
            landing: Landing::Forward,
        );

        self::assertSame(Stance::Orthodox, ChainInStance::after($kick, Stance::Orthodox));
        self::assertSame(Stance::Southpaw, ChainInStance::after($kick->with(feint: false), Stance::Orthodox));
    }

    public function testChangingOnePropertyLeavesTheOthers(): void
    {
        $item = new StrikeItem(
            Catalogue::builtIn()->strike('rear-round-kick'),
            Target::Leg,
            Effort::Hard,
            landing: Landing::Forward,
        );

        self::assertSame('rear-round-kick.l!>', $item->key(true));
        self::assertSame('+rear-round-kick.l!>', $item->with(joined: true)->key(true));
        self::assertSame('(rear-round-kick.l~>', $item->with(effort: Effort::Light, feint: true)->key(true));
    }

    public function testKeysTellEveryItemOfTheCatalogueApart(): void
    {
        $keys = [];
        foreach (Catalogue::builtIn()->strikes as $strike) {
            foreach ($strike->targets as $target) {
                $keys[] = (new StrikeItem($strike, $target))->key();
            }
        }
        foreach (Catalogue::builtIn()->moves as $move) {
            $keys[] = (new MoveItem($move))->key();
        }
        array_push(
            $keys,
            (new Beat())->key(),
            ...array_map(static fn (Item $item): string => $item->key(), [new FreeStrikes(1), new FreeStrikes(2)]),
        );

        self::assertSame(\count($keys), \count(array_unique($keys)));
    }

    public function testSideAndRoleAreInverseInEveryStance(): void
    {
        foreach (Stance::cases() as $stance) {
            foreach (Side::cases() as $side) {
                self::assertSame($side, $stance->sideOf($stance->roleOf($side)));
                self::assertSame($side->other(), $stance->other()->sideOf($stance->roleOf($side)));
            }
        }
    }

    public function testUnknownTechniqueThrows(): void
    {
        $this->expectException(UnknownTechnique::class);
        $this->expectExceptionMessage('There is no technique "headbutt" in the catalogue.');
        Catalogue::builtIn()->strike('headbutt');
    }

    public function testWindowMeasuresItsGap(): void
    {
        self::assertEqualsWithDelta(-0.1, (new Window(0.3, 0.5))->gap(0.2), 1e-12);
        self::assertSame(0.0, (new Window(0.3, 0.5))->gap(0.5));
        self::assertEqualsWithDelta(0.2, (new Window(0.3, 0.5))->gap(0.7), 1e-12);
        $this->expectException(\InvalidArgumentException::class);
        new Window(0.5, 0.3);
    }
}
