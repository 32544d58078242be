<?php

declare(strict_types=1);

namespace Periplus\App\InOut;

use Periplus\App\Library\Lines;
use Periplus\App\Library\Row;
use Periplus\Core\Notation\Scheme;
use Psr\Clock\ClockInterface;

/** Writes combinations in one of the forms. JSON keeps everything and is in canonical parity numbers; CSV and text are in a numbering. */
final readonly class Export
{
    public const FORMAT = 'periplus-library';
    public const VERSION = 1;
    public const COLUMNS = ['name', 'chain', 'numbering', 'stance', 'rules', 'themes', 'level', 'note', 'author', 'archived'];
    /** A cell that begins like this would be taken for a formula by a spreadsheet. */
    public const FORMULA = ['=', '+', '-', '@', "\t", "\r"];

    public function __construct(private Lines $lines, private ClockInterface $clock)
    {
    }

    /** @param iterable<Row> $rows */
    public function write(Format $format, iterable $rows, Scheme $scheme): string
    {
        return match ($format) {
            Format::Json => $this->json($rows),
            Format::Csv => $this->csv($rows, $scheme),
            Format::Text => $this->text($rows, $scheme),
        };
    }

    /** @param iterable<Row> $rows */
    private function json(iterable $rows): string
    {
        $combinations = [];
        foreach ($rows as $row) {
            $content = $row->content;
            $combinations[] = [
                'name' => $content->name,
                'chain' => $content->notation,
                'stance' => $content->stance->value,
                'rules' => $content->rules,
                'themes' => $content->themes,
                'level' => $content->level,
                'note' => $content->note,
                'author' => $row->author['name'],
                'archived' => null !== $row->archivedAt,
            ];
        }

        return json_encode([
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'exportedAt' => $this->clock->now()->format(\DATE_ATOM),
            'combinations' => $combinations,
        ], \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES)."\n";
    }

    /** @param iterable<Row> $rows */
    private function csv(iterable $rows, Scheme $scheme): string
    {
        $lines = [self::COLUMNS];
        foreach ($rows as $row) {
            $content = $row->content;
            $lines[] = [
                $content->name, $this->lines->of($content, $scheme)['text'], $scheme->id, $content->stance->value, $content->rules, implode('; ', $content->themes),
                (string) $content->level, $content->note, $row->author['name'], null === $row->archivedAt ? 'no' : 'yes',
            ];
        }

        return implode('', array_map(static fn (array $cells): string => implode(',', array_map(self::cell(...), $cells))."\r\n", $lines));
    }

    /** @param iterable<Row> $rows */
    private function text(iterable $rows, Scheme $scheme): string
    {
        $text = '';
        foreach ($rows as $row) {
            $text .= $this->lines->of($row->content, $scheme)['text'].' # '.strtr($row->content->name, ["\n" => ' ', "\r" => ' '])."\n";
        }

        return $text;
    }

    /** RFC 4180, section 2: quoted where it holds a quote, a comma or a line break, quotes doubled. */
    private static function cell(string $cell): string
    {
        if ('' !== $cell && (\in_array($cell[0], self::FORMULA, true) || 1 === preg_match("/^'+[=+\\-@\\t\\r]/", $cell))) {
            $cell = "'".$cell;
        }

        return 1 === preg_match('/[",\r\n]/', $cell) ? '"'.strtr($cell, ['"' => '""']).'"' : $cell;
    }
}
