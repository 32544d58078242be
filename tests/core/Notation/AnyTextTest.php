<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\TestCase;

/** For any text the reader returns a chain that can be written and read again, or problems with places in the text. */
final class AnyTextTest extends TestCase
{
    use TestTrait;

    private const PIECES = [
        '1',
        '2',
        '3b',
        '14h',
        '14l>',
        '99',
        'K4',
        ' ',
        ' ',
        ' ',
        '-',
        ',',
        '(',
        ')',
        '[',
        ']',
        'x2',
        ']x3',
        'x',
        '+',
        '/',
        '*',
        '*3',
        '!',
        '~',
        '>',
        'jab',
        'cross',
        'hook',
        'lead ',
        'rear ',
        'left ',
        'right ',
        'slip ',
        'step ',
        'switch ',
        'kick',
        'knee',
        'body ',
        'to the ',
        'low ',
        'fake ',
        'with ',
        'push ',
        'out',
        'landing forward',
        'any ',
        'exit',
        'é',
        '拳',
        "\u{200d}",
        "\0",
        "\t",
        '🥊',
        '1 2',
        'spinning back ',
    ];

    public function testAnyTextIsReadOrRefusedWithASentence(): void
    {
        $this->limitTo(400)
            ->forAll(Generators::seq(Generators::elements(self::PIECES)))
            ->then(function (array $pieces): void {
                $text = implode('', array_filter($pieces, is_string(...)));
                foreach (Numbering::builtIn() as $numbering) {
                    foreach (Stance::cases() as $stance) {
                        $this->answers($text, $numbering, $stance);
                    }
                }
            });
    }

    public function testAnyBytesAreReadOrRefusedWithASentence(): void
    {
        $this->limitTo(200)->forAll(Generators::string())->then(function (string $bytes): void {
            $this->answers($bytes, Numbering::named('parity'), Stance::Orthodox);
            $this->answers('1 2 '.$bytes.' 3', Numbering::named('parity'), Stance::Southpaw);
        });
    }

    private function answers(string $text, Numbering $numbering, Stance $stance): void
    {
        $reading = Reader::builtIn()->read($text, $numbering, $stance);
        $length = mb_strlen($text);
        self::assertSame(null === $reading->chain, [] !== $reading->problems);
        foreach ([...$reading->problems, ...$reading->notes] as $remark) {
            self::assertGreaterThanOrEqual(0, $remark->at);
            self::assertLessThanOrEqual($length, $remark->at + $remark->length, $text);
        }
        self::assertNotFalse(
            json_encode(
                CheckServices::load()->checkSerializer->serialize(
                    Reader::builtIn()->readText(new ChainText($text, $stance, $numbering)),
                    new CheckOptions(BuiltInHouseRules::named('all-limbs')),
                ),
                \JSON_INVALID_UTF8_SUBSTITUTE,
            ),
        );
        if (null === $reading->chain) {
            return;
        }
        self::assertCount(\count($reading->chain), $reading->spans);
        $written = (new Writer($numbering))->write(new ChainInStance($reading->chain, $stance));
        $again = Reader::builtIn()->read($written, $numbering, $stance)->chain;
        if (mb_strlen($written) <= Reader::MAX_LENGTH) {
            self::assertNotNull($again, $written);
            self::assertSame(Fingerprint::of($reading->chain)->withEffort, Fingerprint::of($again)->withEffort, $text);
        }
    }
}
