<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Combination;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MirrorChange;
use Periplus\Core\Combination\MirrorChanges;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\StanceConverter;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MirrorTest extends TestCase
{
    use TestTrait;

    public function testMirroringTwiceGivesTheChainBack(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            $twice = $inStance->mirror()->mirror();

            self::assertSame($inStance->stance, $twice->stance);
            self::assertSame($inStance->stances, $twice->stances);
            self::assertSame(Words::bySide()->items($inStance), Words::bySide()->items($twice));
        });
    }

    public function testMirroringSwapsEverySideAndNoRole(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $inStance = new ChainInStance($chain, Stance::Southpaw);
            $mirror = $inStance->mirror();

            self::assertSame(Fingerprint::of($inStance->chain)->plain, Fingerprint::of($mirror->chain)->plain);
            foreach (array_keys($inStance->chain->items) as $index) {
                self::assertSame($inStance->side($index)?->other(), $mirror->side($index));
            }
        });
    }

    public function testCarryingKeepsEveryLimb(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            $carried = (new StanceConverter(Catalogue::builtIn()))->carry($inStance)->inStance;

            self::assertNotSame($inStance->stance, $carried->stance);
            foreach ($inStance->chain->items as $index => $item) {
                $onlyForTheLeadHand = $item instanceof MoveItem && null !== $item->move->carryNote;
                if (!$onlyForTheLeadHand) {
                    self::assertSame($inStance->side($index), $carried->side($index));
                }
                if ($item instanceof StrikeItem) {
                    $other = $carried->chain->items[$index];
                    self::assertInstanceOf(StrikeItem::class, $other);
                    self::assertSame($item->strike->limb->isArm(), $other->strike->limb->isArm());
                }
            }
        });
    }

    public function testStrikesToChooseFromAreCarriedByTheSameLimbs(): void
    {
        $carried = (new StanceConverter(Catalogue::builtIn()))->carry(Chains::inStance('*(1,14)2 3'));

        self::assertSame('*(2,13)2 4', (new Writer(Numbering::named('parity')))->write($carried->inStance));
        self::assertSame(
            Chains::read('*(1,14)2')->items[0]->key(),
            Chains::read('*(14,1)2')->items[0]->key(),
            'Whichever was named first, the choice is the same.',
        );
    }

    public function testCarryingTwiceGivesTheChainBackWhereNothingWasReplaced(): void
    {
        $converter = new StanceConverter(Catalogue::builtIn());
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($converter): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            $once = $converter->carry($inStance);
            $twice = $converter->carry($once->inStance);
            foreach ($twice->inStance->chain->items as $index => $item) {
                $original = $inStance->chain->items[$index];
                if ($original instanceof StrikeItem && Landing::Back !== $original->landing) {
                    // In the carried chain that leg is there already and its landing changes no stance, so the two
                    // differ from here on.
                    return;
                }
                if (!\in_array($index, array_column($once->replaced, 'at'), true)) {
                    self::assertSame($original->key(true), $item->key(true));
                }
            }
            self::assertSame($inStance->stance, $twice->inStance->stance);
        });
    }

    #[TestWith(['3b', '4b', null])]
    #[TestWith(['1 2 3b slip-lead', '2 1 4b slip-rear', null])]
    #[TestWith(['step-out pivot-out circle-lead', 'step-across pivot-in circle-rear', null])]
    #[TestWith([
        '15',
        '14',
        'The switch kick becomes the rear round kick: that leg is already at the rear, so no switch of the feet is '
            .'needed.',
    ]),]
    #[TestWith(['14', '13', null])]
    #[TestWith(['17', '20', null])]
    #[TestWith([
        '18',
        '17',
        'The spinning back kick becomes the lead side kick: that leg is in front, so its heel goes straight and '
            .'nothing spins.',
    ]),]
    #[TestWith([
        '38',
        '31',
        'The spinning back elbow becomes the lead elbow: that arm is in front, so the elbow goes straight across and '
            .'nothing spins.',
    ]),]
    #[TestWith([
        '14> 1 2',
        '13 1 2',
        'The rear round kick becomes the lead round kick: that leg is in front already and lands where it left.',
    ]),]
    #[TestWith([
        '14_ 1',
        '13 2',
        'The rear round kick becomes the lead round kick: that leg is in front already and lands where it left.',
    ])]
    #[TestWith(['1 switch 1', '2 switch 2', null])]
    public function testTheCarrySaysWhatItReplaced(string $from, string $to, ?string $why): void
    {
        $carried = (new StanceConverter(Catalogue::builtIn()))->carry(Chains::inStance($from));

        self::assertSame($to, (new Writer(Numbering::named('parity')))->write($carried->inStance));
        self::assertSame(null === $why ? [] : [$why], array_column($carried->replaced, 'message'));
    }

    public function testEveryTechniqueCanBeCarried(): void
    {
        $catalogue = Catalogue::builtIn();
        $converter = new StanceConverter($catalogue);
        foreach ($catalogue->strikes as $strike) {
            self::assertNotSame($strike->role, $converter->counterpart($strike)->role, $strike->id);
        }
        foreach ($catalogue->moves as $move) {
            self::assertSame($move->id, $catalogue->move($move->carry)->carry, $move->id);
        }
    }

    public function testALeftBodyHookLosesTheLiverAndOffersTheSameHand(): void
    {
        $changes = self::mirrorChanges('1 2 3b', Stance::Orthodox, Stance::Orthodox);

        self::assertSame(['guard-opens', 'liver-lost'], array_column($changes, 'id'));
        self::assertSame(2, $changes[1]->at);
        self::assertSame(
            'Southpaw: the lead hook comes from the right and lands on the spleen side, so the liver is lost. The '
                .'same hand instead: rear hook to the body.',
            $changes[1]->message,
        );
        self::assertSame('rear-hook.b', $changes[1]->offer?->key());
    }

    /** @param list<string> $ids */
    #[TestWith(['4b', 'orthodox', 'orthodox', ['guard-opens', 'liver-gained']])]
    #[TestWith(['14l', 'orthodox', 'orthodox', ['guard-opens', 'thigh-inside']])]
    #[TestWith(['14l', 'southpaw', 'orthodox', ['guard-closes', 'thigh-outside']])]
    #[TestWith(['13l', 'orthodox', 'orthodox', ['guard-opens', 'thigh-outside']])]
    #[TestWith(['14b', 'orthodox', 'orthodox', ['guard-opens', 'liver-gained', 'open-side-gained']])]
    #[TestWith(['14b', 'orthodox', 'southpaw', ['guard-closes', 'liver-gained', 'open-side-lost']])]
    #[TestWith(['step-out', 'orthodox', 'orthodox', ['guard-opens', 'way-out-gained']])]
    #[TestWith(['step-out', 'orthodox', 'southpaw', ['guard-closes', 'way-out-lost']])]
    #[TestWith(['1 2', 'orthodox', 'orthodox', ['guard-opens']])]
    #[TestWith(['1 switch 3b', 'orthodox', 'orthodox', ['guard-opens', 'liver-gained']])]
    public function testMirrorChangesFollowSideStanceAndOpponent(
        string $text,
        string $stance,
        string $opponent,
        array $ids,
    ): void {
        self::assertSame(
            $ids,
            array_column(self::mirrorChanges($text, Stance::from($stance), Stance::from($opponent)), 'id'),
        );
    }

    public function testMirroringBackUndoesEveryLossAndGain(): void
    {
        $changes = new MirrorChanges(Catalogue::builtIn());
        $undo = [
            'liver-lost' => 'liver-gained',
            'liver-gained' => 'liver-lost',
            'thigh-inside' => 'thigh-outside',
            'thigh-outside' => 'thigh-inside',
            'open-side-lost' => 'open-side-gained',
            'open-side-gained' => 'open-side-lost',
            'way-out-lost' => 'way-out-gained',
            'way-out-gained' => 'way-out-lost',
            'guard-opens' => 'guard-closes',
            'guard-closes' => 'guard-opens',
        ];
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($changes, $undo): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            foreach (Stance::cases() as $opponent) {
                $there = $changes->between($inStance, $inStance->mirror(), new Opponent($opponent));
                $back = $changes->between($inStance->mirror(), $inStance, new Opponent($opponent));
                $name = static fn (MirrorChange $change): string => $change->at.' '.$change->id;
                $undone = array_map(
                    static fn (MirrorChange $change): string => $change->at.' '.$undo[$change->id],
                    $there,
                );
                self::assertEqualsCanonicalizing($undone, array_map($name, $back));
            }
        });
    }

    /** @return list<MirrorChange> */
    private static function mirrorChanges(string $text, Stance $stance, Stance $opponent): array
    {
        $inStance = Chains::inStance($text, $stance);

        return (new MirrorChanges(Catalogue::builtIn()))->between(
            $inStance,
            $inStance->mirror(),
            new Opponent($opponent),
        );
    }
}
