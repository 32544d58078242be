<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Mend\ItemEdits;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\EditedText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class EditedTextTest extends TestCase
{
    use TestTrait;

    #[TestWith(['jab cross cross', 'jab cross slip rear cross'])]
    #[TestWith(['jab, cross, cross', 'jab, cross, slip rear, cross'])]
    #[TestWith(['1 2 2', '1 2 slip-rear 2'])]
    #[TestWith(['1  cross 2', '1  cross slip-rear 2'])]
    #[TestWith(['one two two', 'one two slip rear two'])]
    public function testAnInsertedItemIsWrittenLikeTheRestOfTheLine(string $text, string $expected): void
    {
        $slip = new MoveItem(Catalogue::builtIn()->moves['slip-rear']);

        self::assertSame($expected, self::edited($text)->with([Edit::insert(2, $slip)]));
    }

    #[TestWith(['jab cross lead hook', 1, 'jab lead hook'])]
    #[TestWith(['jab, cross, lead hook', 2, 'jab, cross'])]
    #[TestWith(['jab, cross, lead hook', 0, 'cross, lead hook'])]
    #[TestWith(['1 2! (3) 2', 2, '1 2! 2'])]
    #[TestWith(['[1 2]x2 3b', 4, '[1 2]x2'])]
    public function testWhatIsLeftOutTakesItsSeparatorAlong(string $text, int $index, string $expected): void
    {
        self::assertSame($expected, self::edited($text)->with([Edit::drop($index)]));
    }

    public function testAnItemThatMovesKeepsItsOwnWords(): void
    {
        $chain = Reader::builtIn()->readText(new ChainText('jab rear straight hook'));
        $straight = $chain->inStance?->chain->items[1];
        self::assertNotNull($straight);
        $edited = new EditedText(Reader::builtIn(), $chain);

        self::assertSame('jab hook rear straight', $edited->with([Edit::drop(1), Edit::insert(3, $straight)]));
    }

    /** A repeat cannot be changed in one place only, so the chain is written out. */
    public function testWhatCannotBeKeptIsWrittenOut(): void
    {
        self::assertSame('1 1 2', self::edited('[1 2]x2')->with([Edit::drop(1)]));
    }

    /**
     * In numbers, in words by role and in words by side, in every numbering: the result reads back as the edited chain.
     */
    public function testWhateverIsEditedReadsBackToTheEditedChain(): void
    {
        $edits = new ItemEdits(Catalogue::builtIn());
        $kept = 0;
        $this->limitTo(60)
            ->forAll(
                Generators::tuple(
                    Chains::any(),
                    Generators::choose(0, 1000),
                    Generators::elements('numbers', 'role', 'side'),
                ),
            )
            ->then(static function (array $given) use ($edits, &$kept): void {
                [$chain, $seed, $form] = $given;
                self::assertInstanceOf(Chain::class, $chain);
                self::assertIsInt($seed);
                $inStance = new ChainInStance($chain, Stance::Southpaw);
                $text = match ($form) {
                    'numbers' => (new Writer(Numbering::named('parity')))->write($inStance),
                    'role' => Words::byRole()->write($inStance),
                    default => Words::bySide()->write($inStance),
                };
                if (mb_strlen($text) > Reader::MAX_LENGTH) {
                    return;
                }
                $edited = self::edited($text, Stance::Southpaw);
                foreach ($edits->list($chain, $seed % \count($chain)) as $edit) {
                    $written = $edited->with($edit->edits);
                    if (mb_strlen($written) > Reader::MAX_LENGTH) {
                        continue;
                    }
                    self::assertSame(
                        self::keys(Edit::apply($chain->items, $edit->edits)),
                        self::keys(Chains::read($written, Stance::Southpaw)->items),
                        $text.' -> '.$edit->name.' -> '.$written,
                    );
                    ++$kept;
                }
            });
        self::assertGreaterThan(200, $kept);
    }

    /** @param list<Item> $items */
    private static function keys(array $items): string
    {
        return implode(' ', array_map(static fn (Item $item): string => $item->key(true), $items));
    }

    private static function edited(string $text, Stance $stance = Stance::Orthodox): EditedText
    {
        $reader = Reader::builtIn();

        return new EditedText($reader, $reader->readText(new ChainText($text, $stance)));
    }
}
