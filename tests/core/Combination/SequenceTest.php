<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Combination;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\Family;
use Periplus\Core\Technique\Catalogue;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class SequenceTest extends TestCase
{
    use TestTrait;

    public function testEverySignMeansOneThing(): void
    {
        $signs = [
            ...array_column(Catalogue::builtIn()->strikes, 'sign'),
            ...array_column(Catalogue::builtIn()->moves, 'sign'),
        ];

        self::assertSame($signs, array_values(array_unique($signs)));
        // Sequence distinguishes strikes and moves by the case of the letter.
        self::assertSame(
            [],
            preg_grep('/^[A-Z][0-9]$/', array_column(Catalogue::builtIn()->strikes, 'sign'), \PREG_GREP_INVERT),
        );
        self::assertSame(
            [],
            preg_grep('/^[a-z][0-9]$/', array_column(Catalogue::builtIn()->moves, 'sign'), \PREG_GREP_INVERT),
        );
    }

    public function testSequenceIsReadBackAsWritten(): void
    {
        $this->limitTo(300)->forAll(Chains::any())->then(static function (Chain $chain): void {
            $sequence = Sequence::of($chain);
            self::assertEquals($sequence, Sequence::read($sequence->text()));
            self::assertCount(\count($chain), $sequence->items);
            self::assertCount(\count($chain->strikes()), $sequence->strikes());
            self::assertLessThanOrEqual(Sequence::MAX_ITEM_BYTES * Chain::MAX_ITEMS, \strlen($sequence->text()));
        });
    }

    public function testTheBeginningOfAChainIsTheBeginningOfItsBytes(): void
    {
        $this->limitTo(300)
            ->forAll(Chains::any(), Chains::any())
            ->then(static function (Chain $one, Chain $other): void {
                [$a, $b] = [Sequence::of($one), Sequence::of($other)];
                self::assertSame($a->startsWith($b), str_starts_with($a->text(), $b->text()));
                foreach ($a->beginnings() as $beginning) {
                    self::assertTrue($a->startsWith(Sequence::read($beginning)));
                    self::assertTrue(Family::begins($beginning, $a->text()));
                }
            });
    }

    public function testRunsAreContained(): void
    {
        $this->limitTo(60)->forAll(Chains::any())->then(static function (Chain $chain): void {
            $sequence = Sequence::of($chain);
            foreach (\array_slice($sequence->runs(), 0, 200) as $run) {
                self::assertTrue($sequence->contains(Sequence::read($run)));
            }
            self::assertTrue($sequence->contains($sequence));
        });
    }

    #[TestWith(['A0h?'])]
    #[TestWith(['A0'])]
    #[TestWith(['~'])]
    #[TestWith(['A0h B0'])]
    public function testInvalidBytesAreRefused(string $text): void
    {
        $this->expectException(\UnexpectedValueException::class);
        Sequence::read($text);
    }

    #[TestWith(['1 2 exit', '1 2'])]
    #[TestWith(['1 2 step-out 14l step-back exit', '1 2 step-out 14l'])]
    #[TestWith(['step-in exit', 'step-in'])]
    #[TestWith(['1 2 slip-rear', '1 2 slip-rear'])]
    public function testTheStemLeavesOutTheWayOut(string $chain, string $stem): void
    {
        self::assertSame(
            Sequence::of(Chains::read($stem))->text(),
            Family::stem(Sequence::of(Chains::read($chain)))->text(),
        );
    }
}
