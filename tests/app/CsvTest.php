<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\App\Exchange\Csv;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Cells survive writing and reading, checked with PHP's own CSV reader. */
final class CsvTest extends TestCase
{
    use TestTrait;

    private const LETTERS = [
        'a',
        'é',
        ' ',
        ',',
        ';',
        '"',
        "'",
        '=',
        '+',
        '-',
        '@',
        "\u{FF1D}",
        "\t",
        "\n",
        "\r",
        '1',
        '#',
        '\\',
    ];

    public function testEveryCsvLineIsReadBack(): void
    {
        $this->forAll(Generators::seq(Generators::seq(Generators::elements(...self::LETTERS))))->then(static function (
            array $letters,
        ): void {
            $cells = array_map(
                static fn (mixed $cell): string => \is_array($cell)
                    ? implode(
                        '',
                        array_map(static fn (mixed $letter): string => \is_string($letter) ? $letter : '', $cell),
                    )
                    : '',
                array_values($letters),
            );
            if ([] === $cells || [''] === $cells) {
                return;
            }
            self::assertSame(
                $cells,
                array_map(
                    static fn (?string $cell): string => Csv::read((string) $cell),
                    self::parsed(Csv::line($cells)),
                ),
            );
        });
    }

    public function testEveryListInACsvCellIsReadBack(): void
    {
        $this->forAll(
            Generators::seq(Generators::seq(Generators::elements('a', 'é', ' ', ';', '"', "'", ',', '='))),
        )->then(static function (array $letters): void {
            $values = array_map(
                static fn (mixed $value): string => trim(
                    \is_array($value)
                        ? implode(
                            '',
                            array_map(static fn (mixed $letter): string => \is_string($letter) ? $letter : '', $value),
                        )
                        : '',
                ),
                $letters,
            );
            $values = array_values(array_filter($values, static fn (string $value): bool => '' !== $value));
            self::assertSame($values, Csv::readSeveral(Csv::several($values)));
        });
    }

    /** OWASP, CSV Injection: characters that a cell must not start with. */
    #[TestWith(['=1+1'])]
    #[TestWith(['+1'])]
    #[TestWith(['-1'])]
    #[TestWith(['@SUM(1)'])]
    #[TestWith(["\t=1"])]
    #[TestWith(["\r=1"])]
    #[TestWith(["\n=1"])]
    #[TestWith(['  =1'])]
    #[TestWith(["\u{FF1D}1"])]
    #[TestWith(["'=1"])]
    public function testNoCellIsAFormula(string $cell): void
    {
        self::assertStringStartsWith("'", self::parsed(Csv::line([$cell]))[0]);
    }

    #[TestWith(['slips; low', '"slips; low"'])]
    #[TestWith([' blanks ', '" blanks "'])]
    #[TestWith(["a\tb", "\"a\tb\""])]
    #[TestWith(['plain', 'plain'])]
    public function testAValueWithASeparatorIsQuoted(string $cell, string $written): void
    {
        self::assertSame($written."\r\n", Csv::line([$cell]));
    }

    /** @return list<string> */
    private static function parsed(string $line): array
    {
        $stream = fopen('php://memory', 'r+');
        self::assertNotFalse($stream);
        fwrite($stream, $line);
        rewind($stream);
        $cells = fgetcsv($stream, null, ',', '"', '');

        return \is_array($cells) ? array_map(strval(...), $cells) : [];
    }
}
