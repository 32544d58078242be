<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/**
 * Reads and writes cells of a CSV file (RFC 4180, section 2). A cell that a spreadsheet would take for a formula gets
 * an apostrophe in front, in other programs' files as well, which is removed when it is read. Several values in one
 * cell are separated by semicolons; a value with a semicolon or quotation mark is quoted within the cell.
 */
final readonly class Csv
{
    /** The start of a formula, including the full-width letters that some spreadsheets accept. */
    private const FORMULA = '\s*[=+\-@\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}\t\r\n]';

    /** @param list<string> $cells */
    public static function line(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    /** @param list<string> $values */
    public static function several(array $values): string
    {
        return implode(
            '; ',
            array_map(
                static fn (string $value): string => 1 === preg_match('/[;"]/', $value) ? self::quoted($value) : $value,
                $values,
            ),
        );
    }

    /** Returns the text of a cell without the protection against formulas. */
    public static function read(string $cell): string
    {
        return (string) preg_replace("/^'(?='*".self::FORMULA.')/u', '', $cell);
    }

    /** @return list<string> what {@see several} put into one cell, without blanks around them and without empty ones */
    public static function readSeveral(string $cell): array
    {
        return array_values(
            array_filter(
                array_map(static fn (?string $value): string => trim((string) $value), str_getcsv($cell, ';', '"', '')),
                static fn (string $value): bool => '' !== $value,
            ),
        );
    }

    private static function cell(string $cell): string
    {
        if (1 === preg_match("/^'*".self::FORMULA.'/u', $cell)) {
            $cell = "'".$cell;
        }

        // Some spreadsheets split at semicolons and tabs.
        return 1 === preg_match('/[",;\t\r\n]|^ | $/', $cell) ? self::quoted($cell) : $cell;
    }

    private static function quoted(string $value): string
    {
        return '"'.strtr($value, ['"' => '""']).'"';
    }
}
