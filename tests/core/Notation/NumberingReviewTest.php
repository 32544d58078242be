<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\NumberingDifference;
use Periplus\Core\Notation\NumberingReview;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

/** @phpstan-import-type Content from Numbering */
final class NumberingReviewTest extends TestCase
{
    use TestTrait;

    public function testTheBuiltInNumberingsAreSound(): void
    {
        foreach (Numbering::builtIn() as $numbering) {
            self::assertSame([], self::review()->problems($numbering->content()), $numbering->id);
            self::assertEquals($numbering, Numbering::of($numbering->id, $numbering->content()));
        }
        self::assertSame([], self::review()->gaps(Numbering::named('parity')));
        self::assertContains('lead knee', array_column(self::review()->gaps(Numbering::named('six')), 'strike'));
    }

    public function testDifferencesBetweenNumberingsAreListed(): void
    {
        self::assertEquals(
            [
                new NumberingDifference('7', 'lead shovel hook', 'lead hook to the body'),
                new NumberingDifference('8', 'rear overhand', 'rear hook to the body'),
            ],
            self::review()->differences(Numbering::named('parity'), Numbering::named('body-pairs')),
        );
        self::assertSame([], self::review()->differences(Numbering::named('parity'), Numbering::named('parity')));
    }

    public function testClashesAreSaidByRow(): void
    {
        $problems = self::review()->problems(
            self::content([
                ['1', 'straight', 'lead', null],
                ['1', 'straight', 'rear', null],
                ['2b', 'straight', 'rear', null],
                ['', 'hook', 'lead', null],
                ['3', 'hook', 'left', null],
                ['4', 'spear', 'lead', null],
                ['5', 'spinning back kick', 'lead', null],
                ['6', 'straight', 'lead', 'leg'],
                ['7', 'straight', 'lead', null],
            ]),
        );

        self::assertSame([1, 2, 3, 4, 5, 6, 7, 8], array_column($problems, 'row'));
        self::assertSame(
            [true, true, true, true, true, true, true, false],
            array_column($problems, 'stops'),
            'A second number for the same can be read.',
        );
        self::assertSame('1 is used twice: also in row 1.', $problems[0]->message);
    }

    public function testANumberingWithoutNumbersIsNone(): void
    {
        self::assertSame([true], array_column(self::review()->problems(self::content([])), 'stops'));
    }

    /** A custom numbering with its own targets reads what it writes. */
    public function testOwnNumberingIsReadBackAsWritten(): void
    {
        $content = self::content([
            ['1', 'straight', 'lead', null],
            ['2', 'straight', 'rear', 'body'],
            ['A3', 'hook', 'lead', 'body'],
            ['B3', 'hook', 'lead', null],
            ['K1', 'round kick', 'rear', 'leg'],
        ]);
        self::assertSame([], self::review()->problems($content));
        $own = Numbering::of('own', $content);
        $this->limitTo(200)->forAll(Chains::any())->then(static function (Chain $chain) use ($own): void {
            foreach (Stance::cases() as $stance) {
                $text = (new Writer($own))->write(new ChainInStance($chain, $stance));
                $read = Reader::builtIn()->read($text, $own, $stance);
                // Some chains are too long for a line of words.
                if (mb_strlen($text) <= Reader::MAX_LENGTH) {
                    self::assertEquals($chain, $read->chain, $text);
                }
            }
        });
        self::assertSame('2 2h A3 B3 K1 K1b', (new Writer($own))->write(Chains::inStance('2b 2 3b 3 14l 14')));
    }

    /**
     * @param list<array{string, string, string, string|null}> $rows
     *
     * @return Content
     */
    private static function content(array $rows): array
    {
        return [
            'name' => 'Ours',
            'about' => '',
            'boundTo' => 'role',
            'numbers' => array_map(
                static fn (array $row): array => [
                    'number' => $row[0],
                    'family' => $row[1],
                    'position' => $row[2],
                    'target' => $row[3],
                    'name' => null,
                ],
                $rows,
            ),
        ];
    }

    private static function review(): NumberingReview
    {
        return new NumberingReview(Catalogue::builtIn());
    }
}
