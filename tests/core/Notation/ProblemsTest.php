<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProblemsTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *     string,
     *     list<array{int, int, string}>,
     * }> text, and of each problem its place, length and nearest
     */
    public static function mistakes(): iterable
    {
        yield 'a beginning in the middle' => ['1 long-range 2', [[2, 10, 'long-range 1 2']]];
        yield 'unknown number' => ['1 99', [[2, 2, '9-9']]];
        yield 'numbers run together' => ['123', [[0, 3, '1-2-3']]];
        yield 'unknown word' => ['1 crss 2', [[2, 4, 'cross']]];
        yield 'half a word' => ['1 sli', [[2, 3, 'slip-lead']]];
        yield 'near a move that needs its side' => ['1 pivt', [[2, 4, 'pivot-out']]];
        yield 'no such target' => ['1 3q', [[2, 2, '3h']]];
        yield 'target out of question' => ['1l', [[0, 2, '1h']]];
        yield 'stray bracket' => ['1 2)', [[3, 1, '']]];
        yield 'open feint' => ['1 (3 2', [[2, 1, '']]];
        yield 'empty feint' => ['1 ()', [[2, 1, '(3)'], [3, 1, '']]];
        yield 'open repeat' => ['[1 2', [[0, 1, '']]];
        yield 'repeat without count' => ['[1 2] 3', [[4, 1, ']x2']]];
        yield 'repeat of nothing' => ['x3', [[0, 2, '']]];
        yield 'two strikes in the brackets of a feint' => ['(1 2) 3', [[0, 1, ''], [4, 1, '']]];
        yield 'double of nothing' => ['1 double', [[2, 6, '']]];
        yield 'double of what cannot be read' => ['double 99', [[7, 2, '9-9']]];
        yield 'repeat too often' => ['[1 2]x21', [[5, 3, 'x2']]];
        yield 'joins nothing' => ['+14', [[0, 3, '1 +14']]];
        yield 'joins a move' => ['clinch +14', [[7, 3, '1 +14']]];
        yield 'joins the same arm' => ['1 +3', [[2, 2, '1 +14']]];
        yield 'joins a feint' => ['(1) +14', [[4, 3, '1 +14']]];
        yield 'joins a kick that lands forward' => ['14> +1', [[4, 2, '1 +14']]];
        yield 'lead leg landing forward' => ['1 13>', [[4, 1, '14>']]];
        yield 'lead leg landing half way' => ['1 13_', [[4, 1, '14_']]];
        yield 'effort on nothing' => ['! 1', [[0, 1, '2!']]];
        yield 'no rear switch kick' => ['rear switch kick', [[0, 16, 'switch kick']]];
        yield 'left cross in orthodox' => ['left cross', [[0, 10, 'jab']]];
        yield 'wrong way' => ['step across to the left', [[0, 23, 'step-across']]];
        yield 'too many free strikes' => ['*13', [[0, 3, '*3']]];
        yield 'all of them, in order' => ['1 crss 99 3q', [[2, 4, 'cross'], [7, 2, '9-9'], [10, 2, '3h']]];
        yield 'characters beyond the basic plane count as one' => ['🥊 crss', [[0, 1, ''], [2, 4, 'cross']]];
    }

    /** @param list<array{int, int, string}> $expected */
    #[DataProvider('mistakes')]
    public function testEveryProblemSaysWhereAndWhatWouldDo(string $text, array $expected): void
    {
        $problems = self::read($text);

        self::assertSame(
            $expected,
            array_map(
                static fn (ReadingProblem $problem): array => [
                    $problem->at,
                    $problem->length,
                    $problem->nearest[0] ?? '',
                ],
                $problems,
            ),
        );
        foreach ($problems as $problem) {
            self::assertMatchesRegularExpression('/^.{8,}[.?]$/su', $problem->message);
            self::assertNotSame('', $problem->expected);
        }
    }

    public function testNearestSuggestionsCanBeRead(): void
    {
        foreach (self::mistakes() as [$text, $expected]) {
            foreach (self::read($text) as $problem) {
                foreach ($problem->nearest as $nearest) {
                    // A repeat or a mark follows something.
                    $whole = match ($nearest[0]) {
                        ']' => '[1'.$nearest,
                        'x' => '[1]'.$nearest,
                        default => $nearest,
                    };
                    self::assertSame(
                        [],
                        self::read($whole),
                        \sprintf('"%s", offered for "%s", cannot be read itself.', $nearest, $text),
                    );
                }
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function hostile(): iterable
    {
        yield 'nothing' => [''];
        yield 'blanks' => ["  \t "];
        yield '10,000 characters' => [str_repeat('1 ', 5000)];
        yield '10,000 letters' => [str_repeat('a', 10000)];
        yield 'deep brackets' => [str_repeat('[', 200).'1'.str_repeat(']x2', 60)];
        yield 'deep feints' => [str_repeat('(', 300)];
        yield 'repeats of repeats' => ['[[[1 2 3 4]x20]x20]x20'];
        yield 'control characters' => ["1 \0\x07\x1b[31m 2"];
        yield 'another alphabet' => ['прямой удар'];
        yield 'right to left' => ['لكمة مستقيمة'];
        yield 'figures of another script' => ['١ ٢ ٣'];
        yield 'wide figures' => ['１ ２'];
        yield 'a number of no numbering' => ['x999999'];
        yield 'a number beyond all bounds' => [str_repeat('9', 390)];
        yield 'a count beyond all bounds' => ['[1]x'.str_repeat('9', 300)];
        yield 'not UTF-8' => ["1 2 \xc3\x28"];
        yield 'half a surrogate' => ["\xed\xa0\x80"];
        yield 'joiners' => ["1\u{200d}2\u{202e}3"];
        yield 'combining marks' => ['1'.str_repeat("\u{0301}", 200)];
        yield 'markup' => ['<script>alert(1)</script>'];
    }

    #[DataProvider('hostile')]
    public function testAHostileLineIsRefusedWithASentence(string $text): void
    {
        $problems = self::read($text);

        self::assertNotSame([], $problems);
        self::assertLessThanOrEqual(21, \count($problems));
        foreach ($problems as $problem) {
            self::assertLessThan(240, mb_strlen($problem->message));
            self::assertDoesNotMatchRegularExpression('/[\x00-\x1f]/', $problem->message);
            self::assertTrue(mb_check_encoding($problem->message, 'UTF-8'));
            self::assertGreaterThanOrEqual(0, $problem->at);
        }
    }

    /** @return list<ReadingProblem> */
    private static function read(string $text): array
    {
        $reading = Reader::builtIn()->read($text, Numbering::named('parity'), Stance::Orthodox);
        self::assertSame([] === $reading->problems, null !== $reading->chain);

        return $reading->problems;
    }
}
