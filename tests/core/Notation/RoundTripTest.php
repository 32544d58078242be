<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

/** What is written is read back as the same chain, in every numbering, in both kinds of words, in both stances. */
final class RoundTripTest extends TestCase
{
    use TestTrait;

    public function testNumbersAreWrittenInEveryNumbering(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            foreach (Numbering::builtIn() as $numbering) {
                foreach (Stance::cases() as $stance) {
                    $inStance = new ChainInStance($chain, $stance);
                    self::assertReadsBack($inStance, (new Writer($numbering))->write($inStance), $numbering);
                }
            }
        });
    }

    public function testWordsByRoleAndBySide(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            foreach (Stance::cases() as $stance) {
                $inStance = new ChainInStance($chain, $stance);
                self::assertReadsBack($inStance, Words::byRole()->write($inStance), Numbering::named('body-pairs'));
                self::assertReadsBack($inStance, Words::bySide()->write($inStance), Numbering::named('hands'));
            }
        });
    }

    public function testEverySpokenVariantReadsBackAsTheSameChain(): void
    {
        $this->forAll(Chains::any(), Generators::choose(1, 1_000_000))->then(static function (
            Chain $chain,
            int $seed,
        ): void {
            $chain = Chain::of(\array_slice($chain->items, 0, 12));
            foreach (Numbering::builtIn() as $numbering) {
                foreach (Stance::cases() as $stance) {
                    $inStance = new ChainInStance($chain, $stance);
                    $said = (new SpokenVariants($numbering, $seed))->say($inStance);
                    if (mb_strlen($said) > Reader::MAX_LENGTH) {
                        continue;
                    }
                    $reading = Reader::builtIn()->read($said, $numbering, $stance);
                    self::assertNotNull(
                        $reading->chain,
                        \sprintf('%s: "%s": %s', $numbering->id, $said, self::first($reading)),
                    );
                    self::assertSame(
                        (new Writer($numbering))->write($inStance),
                        (new Writer($numbering))->write(new ChainInStance($reading->chain, $stance)),
                        \sprintf('%s: "%s"', $numbering->id, $said),
                    );
                }
            }
        });
    }

    public function testTheLongestChainAsItIsStoredIsReadBack(): void
    {
        foreach (['step-across', '14l!>', 'circle-rear', '(32b~)'] as $item) {
            $text = implode(' ', array_fill(0, Chain::MAX_ITEMS, $item));
            self::assertLessThan(Reader::MAX_LENGTH, mb_strlen($text));
            self::assertCount(Chain::MAX_ITEMS, Chains::read($text));
        }
    }

    private static function assertReadsBack(ChainInStance $inStance, string $text, Numbering $numbering): void
    {
        // A long chain in words can exceed the limit of a line; in parity, the stored form, none does.
        if ('parity' !== $numbering->id && mb_strlen($text) > Reader::MAX_LENGTH) {
            return;
        }
        $reading = Reader::builtIn()->read($text, $numbering, $inStance->stance);
        self::assertNotNull($reading->chain, \sprintf('%s: "%s": %s', $numbering->id, $text, self::first($reading)));
        self::assertSame(
            Fingerprint::of($inStance->chain)->withEffort,
            Fingerprint::of($reading->chain)->withEffort,
            \sprintf('%s: "%s"', $numbering->id, $text),
        );
        self::assertSame([], $reading->notes, \sprintf('"%s" leaves nothing open.', $text));
    }

    private static function first(Reading $reading): string
    {
        return $reading->problems[0]->message ?? '';
    }
}
