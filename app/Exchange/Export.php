<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\PlainText;
use Periplus\Core\Notation\Numbering;
use Psr\Clock\ClockInterface;

/**
 * Writes combinations in one of the formats. JSON contains everything and uses parity numbers; CSV and text use a
 * numbering.
 */
final readonly class Export
{
    public const FORMAT = 'periplus-library';
    public const VERSION = 1;
    public const COLUMNS = [
        'name',
        'chain',
        'numbering',
        'stance',
        'rules',
        'themes',
        'level',
        'note',
        'author',
        'archived',
    ];

    public function __construct(private LineRenderer $lines, private ClockInterface $clock)
    {
    }

    /** @param iterable<CombinationSummary> $rows */
    public function write(FileFormat $format, iterable $rows, Numbering $numbering): string
    {
        return match ($format) {
            FileFormat::Json => $this->json($rows),
            FileFormat::Csv => $this->csv($rows, $numbering),
            FileFormat::Text => $this->text($rows, $numbering),
            FileFormat::Notes => throw new \LogicException('Notes are only imported.'),
        };
    }

    /** @param iterable<CombinationSummary> $rows */
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
                'levelChosen' => true === $content->levelChosen,
                'note' => $content->note,
                'author' => $row->author->name,
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

    /** @param iterable<CombinationSummary> $rows */
    private function csv(iterable $rows, Numbering $numbering): string
    {
        $lines = [self::COLUMNS];
        foreach ($rows as $row) {
            $content = $row->content;
            $lines[] = [
                $content->name,
                $this->lines->text($content->notation, $content->stance, $numbering),
                $numbering->id,
                $content->stance->value,
                $content->rules,
                Csv::several($content->themes),
                (string) $content->level,
                $content->note,
                $row->author->name,
                null === $row->archivedAt ? 'no' : 'yes',
            ];
        }

        return implode('', array_map(Csv::line(...), $lines));
    }

    /** @param iterable<CombinationSummary> $rows */
    private function text(iterable $rows, Numbering $numbering): string
    {
        $text = '';
        foreach ($rows as $row) {
            $text
                .= $this->lines->text($row->content->notation, $row->content->stance, $numbering)
                .' # '
                .PlainText::line($row->content->name)
                ."\n";
        }

        return $text;
    }
}
