<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow\Mend;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\Item;
use Periplus\Core\Flow\Mend\EditList;
use Periplus\Core\Flow\Mend\ItemEdit;
use Periplus\Core\Flow\Mend\ItemEditKind;
use Periplus\Core\Flow\Mend\ItemEdits;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

final class ItemEditsTest extends TestCase
{
    use TestTrait;

    public function testALeadHookCanBeMovedAimedThrownOtherwiseAndExchanged(): void
    {
        $done = self::done('1 3 2', 1);

        self::assertSame('1 2', $done['leave out']);
        self::assertSame('3 1 2', $done['move earlier']);
        self::assertSame('1 2 3', $done['move later']);
        self::assertSame('1 3b 2', $done['to the body']);
        self::assertSame('1 3! 2', $done['hard']);
        self::assertSame('1 (3) 2', $done['feint']);
        self::assertSame('1 4 2', $done['rear hook']);
        self::assertArrayNotHasKey('to the head', $done);
        self::assertArrayNotHasKey('plain', $done);
    }

    public function testAMoveIsExchangedForOneOfItsKind(): void
    {
        $done = self::done('1 slip-lead 2', 1);

        self::assertSame('1 slip-rear 2', $done['slip rear']);
        self::assertSame('1 / 2', $done['beat']);
        self::assertArrayNotHasKey('pivot out', $done);
    }

    public function testAJoinedStrikeIsNoLongerJoinedWhenTheOneBeforeItIsLeftOut(): void
    {
        self::assertSame('1 3', self::done('1 14 +3', 1)['leave out']);
    }

    public function testTheOnlyItemOfAChainCannotBeLeftOutOrMoved(): void
    {
        self::assertSame(
            [],
            array_intersect(['leave out', 'move earlier', 'move later'], array_keys(self::done('1', 0))),
        );
    }

    /** Every edit leaves a different valid chain, with the item at the stated index. */
    public function testEveryEditMakesAnotherValidChain(): void
    {
        $edits = new ItemEdits(Catalogue::builtIn());
        $this->limitTo(60)->forAll(Chains::any())->then(static function (Chain $chain) use ($edits): void {
            foreach (array_keys($chain->items) as $index) {
                foreach ($edits->list($chain, $index) as $edit) {
                    $items = Edit::apply($chain->items, $edit->edits);
                    self::assertTrue(EditList::isValid($items), $edit->name);
                    self::assertSame(\count($chain) - (ItemEditKind::LeaveOut === $edit->kind ? 1 : 0), \count($items));
                    if (\in_array($edit->kind, [ItemEditKind::Earlier, ItemEditKind::Later], true)) {
                        self::assertSame($chain->items[$index], $items[(int) $edit->at]);
                    } elseif (ItemEditKind::LeaveOut !== $edit->kind) {
                        self::assertNotSame(self::keys($chain->items), self::keys($items), $edit->name);
                    }
                }
            }
        });
    }

    /** @param list<Item> $items */
    private static function keys(array $items): string
    {
        return implode(' ', array_map(static fn (Item $item): string => $item->key(true), $items));
    }

    /** @return array<string, string> by the name of the edit: the chain with it */
    private static function done(string $text, int $index): array
    {
        $chain = Chains::read($text);
        $writer = new Writer(Numbering::named('parity'));
        $edits = (new ItemEdits(Catalogue::builtIn()))->list($chain, $index);

        return array_combine(
            array_map(static fn (ItemEdit $edit): string => $edit->name, $edits),
            array_map(
                static fn (ItemEdit $edit): string => $writer->write(
                    new ChainInStance(Chain::of(Edit::apply($chain->items, $edit->edits)), Stance::Orthodox),
                ),
                $edits,
            ),
        );
    }
}
