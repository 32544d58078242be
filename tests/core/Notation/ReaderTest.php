<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ReaderTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function texts(): iterable
    {
        $texts = [
            '1-2-3b slip left 2' => '1 2 3b slip-lead 2',
            '1-1-2' => '1 1 2',
            '1,2 , 3' => '1 2 3',
            '1 - 2' => '1 2',
            '1–2' => '1 2',
            '1 (3) 6' => '1 (3) 6',
            '1 2 3 step-out 14l exit' => '1 2 3 step-out 14l exit',
            '2 +14h' => '2 +14h',
            '2+14h' => '2 +14h',
            '[5b~ 6b~]x2 3!' => '5b~ 6b~ 5b~ 6b~ 3!',
            '[5b~ 6b~] × 2 3!' => '5b~ 6b~ 5b~ 6b~ 3!',
            '[[1 2]x2 3]x2' => '1 2 1 2 3 1 2 1 2 3',
            '[1 2]x1 3' => '1 2 3',
            '1 2 / *3' => '1 2 / *3',
            '1 2 *' => '1 2 *',
            '1H 2B' => '1 2b',
            'jab cross lead hook body' => '1 2 3b',
            'JAB, Cross, LEAD HOOK TO THE BODY' => '1 2 3b',
            'jab to the head' => '1',
            'jab body cross' => '1 2b',
            'jab cross body hook' => '1 2 3b',
            'rear low kick' => '14l',
            'switch kick to the body' => '15',
            'switch low kick' => '15l',
            'fake lead hook' => '(3)',
            'hard cross then light jab' => '2! 1~',
            'cross with rear round kick to the head' => '2 +14h',
            'left jab right cross left hook' => '1 2 3',
            'straight left, right hook' => '1 4',
            'slip left, roll right' => 'slip-lead roll-rear',
            'left slip' => 'slip-lead',
            'step out to the left' => 'step-out',
            'weave right' => 'roll-rear',
            'any 3 strikes' => '*3',
            'spinning back kick, spinning back elbow' => '18 38',
            'lead upward elbow rear knee' => '33 22',
            '14> 1' => '14> 1',
            '14_ 3' => '14_ 3',
            '(14_) 3' => '(14_) 3',
            'rear knee landing forward' => '22>',
            '3 body' => '3b',
            '1 beat 2' => '1 / 2',
            'from long range, jab, cross' => 'long-range 1 2',
            'close range, hook, cross' => 'close-range 3 2',
            'from the clinch rear knee, lead elbow' => 'clinched 22 31',
            'in the clinch 22' => 'clinch 22',
            'close-range (3 2) x2' => 'close-range 3 2 3 2',
        ];
        foreach ($texts as $text => $canonical) {
            yield $text => [$text, $canonical];
        }
    }

    #[DataProvider('texts')]
    public function testReadsNumbersAndWordsInAnyMix(string $text, string $canonical): void
    {
        self::assertSame($canonical, (new Writer(Numbering::named('parity')))->write(Chains::inStance($text)));
    }

    public function testLeftAndRightAreReadInTheRunningStance(): void
    {
        self::assertSame(
            '1 switch 2',
            (new Writer(Numbering::named('parity')))->write(Chains::inStance('left jab, switch, left cross')),
        );
        self::assertSame(
            '1 shift 4 slip-rear',
            (new Writer(Numbering::named('parity')))->write(Chains::inStance('left jab, shift, left hook, slip left')),
        );
        self::assertSame(
            '14> 3',
            (new Writer(Numbering::named('parity')))->write(
                Chains::inStance('right round kick landing forward, right hook'),
            ),
        );
        self::assertSame(
            '4b',
            (new Writer(Numbering::named('parity')))->write(Chains::inStance('left hook body', Stance::Southpaw)),
        );
    }

    public function testABareHookIsTheOppositeHandAndTheReaderSaysSo(): void
    {
        $reading = Reader::builtIn()->read('jab cross hook uppercut', Numbering::named('parity'), Stance::Orthodox);

        self::assertNotNull($reading->chain);
        self::assertSame(
            '1 2 3 6',
            (new Writer(Numbering::named('parity')))->write(new ChainInStance($reading->chain, Stance::Orthodox)),
        );
        self::assertSame(
            [
                '"hook" is read as lead hook, opposite to the cross before it.',
                '"uppercut" is read as rear uppercut, opposite to the lead hook before it.',
            ],
            array_column($reading->notes, 'message'),
        );
        self::assertSame([10, 15], array_column($reading->notes, 'at'));
    }

    public function testItemsKnowTheirPlaceInTheText(): void
    {
        $text = '1 (3b)  [2 +14h!]x2 slip left';
        $reading = Reader::builtIn()->read($text, Numbering::named('parity'), Stance::Orthodox);

        self::assertSame(
            ['1', '(3b)', '2', '+14h!', '2', '+14h!', 'slip left'],
            array_map(static fn ($span): string => mb_substr($text, $span->at, $span->length), $reading->spans),
        );
    }

    #[TestWith(['body-pairs', '7 8 1 K4', 'lead hook to the body, rear hook to the body, jab, rear round kick'])]
    #[TestWith(['body-pairs', 'k4l n2 e1', 'rear round kick to the leg, rear knee, lead elbow'])]
    #[TestWith(['six', '1 2, rear low kick', 'jab, cross, rear round kick to the leg'])]
    #[TestWith(['hands', '1 2 3', 'jab, cross, lead hook'])]
    public function testEachNumberingReadsItsOwnNumbers(string $numbering, string $text, string $words): void
    {
        self::assertSame(
            $words,
            Words::byRole()->write(new ChainInStance(Chains::read($text, numbering: $numbering), Stance::Orthodox)),
        );
    }

    public function testAHandBoundNumberingFollowsTheHandThroughStances(): void
    {
        self::assertSame(
            'cross, jab',
            Words::byRole()->write(new ChainInStance(Chains::read('1 2', Stance::Southpaw, 'hands'), Stance::Southpaw)),
        );
        self::assertSame(
            'jab, switch, cross',
            Words::byRole()->write(new ChainInStance(Chains::read('1 switch 1', numbering: 'hands'), Stance::Orthodox)),
        );
    }
}
