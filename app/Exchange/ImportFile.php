<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Http\PlainText;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/**
 * Splits a file into its combinations. Parts that are not understood are reported with their line; nothing is
 * guessed.
 */
final readonly class ImportFile
{
    public const MAX_ENTRIES = 10_000;
    /** Maximum number of columns of a CSV file; a library has ten. */
    private const MAX_COLUMNS = 100;
    private const MAX_EXCERPT = 200;
    private const FIELDS = ['name', 'chain', 'stance', 'rules', 'themes', 'level', 'note'];

    /**
     * @param ImportOptions $given what holds where the file does not say
     *
     * @return list<ImportEntry>
     *
     * @throws Refused when it is not a file of that form at all
     */
    public static function split(FileFormat $format, string $content, ImportOptions $given): array
    {
        if (!mb_check_encoding($content, 'UTF-8')) {
            throw self::broken(t('This file is not UTF-8 text. Save it as UTF-8 and import it again.'));
        }
        $content = str_starts_with($content, "\u{FEFF}") ? substr($content, 3) : $content;
        $entries = match ($format) {
            FileFormat::Json => self::json($content),
            FileFormat::Csv => self::csv($content, $given),
            FileFormat::Text => self::text($content, $given),
            FileFormat::Notes => throw new \LogicException('NotesFile splits a page of notes.'),
        };
        if ([] === $entries) {
            throw self::broken(t('There is no combination in this file.'));
        }

        return $entries;
    }

    /**
     * Rejects a file with too many entries as soon as possible, without reading the rest.
     *
     * @param int $count of entries so far
     */
    private static function bound(int $count): void
    {
        if ($count > self::MAX_ENTRIES) {
            throw self::broken(
                t(
                    'This file has more than {maxEntries} combinations, which is as many as are imported at a time. '
                        .'Split it.',
                    maxEntries: number_format(self::MAX_ENTRIES),
                ),
            );
        }
    }

    /** @return list<ImportEntry> */
    private static function json(string $content): array
    {
        $content = PlainText::json($content);
        $lines = JsonPlace::ofItems($content, 'combinations', self::MAX_ENTRIES + 1);
        self::bound(\count($lines));
        $data = json_decode($content, true, 32);
        if (null === $data && \JSON_ERROR_NONE !== json_last_error()) {
            $place = JsonPlace::ofMistake($content);
            throw self::broken(
                t(
                    'This JSON is broken at line {line}, column {column}. Nothing was imported.',
                    line: $place->line,
                    column: $place->column,
                ),
                $place->line,
            );
        }
        if (
            !\is_array($data)
            || Export::FORMAT !== ($data['format'] ?? null)
            || !\is_array($data['combinations'] ?? null)
        ) {
            throw self::broken(
                t(
                    'This is not a library of Periplus: it needs "format": "{format}" and a list of combinations.',
                    format: Export::FORMAT,
                ),
            );
        }
        if (Export::VERSION !== ($data['version'] ?? null)) {
            throw self::broken(
                t(
                    'This library has version {version}, but only version {version2} is supported. Export it again.',
                    version: \is_scalar($data['version'] ?? null) ? (string) $data['version'] : 'unknown',
                    version2: Export::VERSION,
                ),
            );
        }
        self::bound(\count($data['combinations']));
        $entries = [];
        foreach (array_values($data['combinations']) as $index => $row) {
            $line = $lines[$index] ?? 1;
            $source = self::short((string) json_encode($row, \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES));
            if (!\is_array($row) || !\is_string($row['name'] ?? null) || !\is_string($row['chain'] ?? null)) {
                $entries[] = new ImportEntry($line, $source, null, t('A combination has a "name" and a "chain".'));
                continue;
            }
            $string = static fn (string $key, string $default): string => \is_string($row[$key] ?? null)
                ? $row[$key]
                : $default;
            $themes = \is_array($row['themes'] ?? null)
                ? array_values(array_filter($row['themes'], is_string(...)))
                : [];
            $entries[] = new ImportEntry(
                $line,
                $source,
                [
                    'name' => $row['name'],
                    'chain' => $row['chain'],
                    'numbering' => 'parity',
                    'stance' => $string('stance', 'orthodox'),
                    'rules' => $string('rules', ''),
                    'themes' => $themes,
                    'level' => \is_int($row['level'] ?? null) && false !== ($row['levelChosen'] ?? null)
                            ? $row['level']
                            : null,
                    'note' => $string('note', ''),
                    'archived' => true === ($row['archived'] ?? false),
                ],
                stated: array_values(array_map(strval(...), array_intersect(array_keys($row), self::FIELDS))),
            );
        }

        return $entries;
    }

    /**
     * @return list<ImportEntry>
     */
    private static function csv(string $content, ImportOptions $given): array
    {
        $stream = fopen('php://temp', 'r+');
        \assert(false !== $stream);
        fwrite($stream, $content);
        rewind($stream);
        $first = fgetcsv($stream, null, ',', '"', '');
        if (false !== $first && \count($first) > self::MAX_COLUMNS) {
            throw self::broken(
                t(
                    'The first line of this file has {count} columns; a library has {count2}. Is it another kind of '
                        .'file?',
                    count: number_format(\count($first)),
                    count2: \count(Export::COLUMNS),
                ),
                1,
            );
        }
        $columns = array_map(
            static fn (?string $name): string => mb_strtolower(trim($name ?? '')),
            false === $first ? [] : $first,
        );
        if (!\in_array('chain', $columns, true)) {
            throw self::broken(
                t('The first line of a CSV file names its columns, and one of them is "chain". The others may be ')
                    .implode(', ', array_diff(Export::COLUMNS, ['chain']))
                    .'.',
                1,
            );
        }
        $entries = [];
        [$line, $counted] = [1, 0];
        while (true) {
            $index = (int) ftell($stream);
            $line += substr_count($content, "\n", $counted, $index - $counted);
            $counted = $index;
            $cells = fgetcsv($stream, null, ',', '"', '');
            if (false === $cells) {
                return $entries;
            }
            if ([null] === $cells) {
                continue;
            }
            self::bound(\count($entries) + 1);
            $source = self::short(implode(',', \array_slice($cells, 0, self::MAX_COLUMNS)));
            if (\count($cells) > \count($columns)) {
                $entries[] = new ImportEntry(
                    $line,
                    $source,
                    null,
                    t(
                        'This line has {count} cells, and there are {count2} columns. Is a comma missing its quotes?',
                        count: \count($cells),
                        count2: \count($columns),
                    ),
                );
                continue;
            }
            $row = [];
            foreach ($columns as $index => $column) {
                $row[$column] = Csv::read($cells[$index] ?? '');
            }
            $or = static fn (string $column, string $default): string => '' === trim($row[$column] ?? '')
                ? $default
                : trim($row[$column]);
            $entries[] = new ImportEntry(
                $line,
                $source,
                [
                    'name' => $or('name', ''),
                    'chain' => $row['chain'],
                    'numbering' => $or('numbering', $given->numbering),
                    'stance' => $or('stance', $given->stance->value),
                    'rules' => $or('rules', $given->rules ?? ''),
                    'themes' => Csv::readSeveral($row['themes'] ?? ''),
                    'level' => is_numeric($or('level', '')) ? (int) $or('level', '') : null,
                    'note' => $row['note'] ?? '',
                    'archived' => \in_array(mb_strtolower($or('archived', 'no')), ['yes', 'true', '1'], true),
                ],
                stated: array_values(
                    array_filter(
                        self::FIELDS,
                        static fn (string $field): bool => \in_array($field, ['themes', 'note'], true)
                            ? isset($row[$field])
                            : '' !== $or($field, ''),
                    ),
                ),
            );
        }
    }

    /**
     * @return list<ImportEntry>
     */
    private static function text(string $content, ImportOptions $given): array
    {
        $entries = [];
        // Only as many lines are split as there can be entries with remarks in between.
        $lines = preg_split('/\r\n|\n|\r/', PlainText::lines($content), 10 * self::MAX_ENTRIES);
        foreach (false === $lines ? [] : $lines as $index => $line) {
            [$chain, $name] = array_map(trim(...), [...explode('#', $line, 2), '']);
            // "Sea gate: 1 2 3": a name may also come before the chain.
            if ('' === $name && 1 === preg_match('/^([^:]*\p{L}[^:]*):\s+([^:]+)$/u', $chain, $found)) {
                [$name, $chain] = [trim($found[1]), trim($found[2])];
            }
            if ('' === $chain) {
                // A line that starts with "#" is a remark.
                continue;
            }
            self::bound(\count($entries) + 1);
            $entries[] = new ImportEntry($index + 1, self::short($line), [
                'name' => $name,
                'chain' => $chain,
                'numbering' => $given->numbering,
                'stance' => $given->stance->value,
                'rules' => $given->rules ?? '',
                'themes' => [],
                'level' => null,
                'note' => '',
                'archived' => false,
            ]);
        }

        return $entries;
    }

    /** Returns a text that is short enough for a list. */
    public static function short(string $source): string
    {
        return mb_strlen($source) > self::MAX_EXCERPT ? mb_substr($source, 0, self::MAX_EXCERPT).'…' : $source;
    }

    private static function broken(string $message, ?int $line = null): Refused
    {
        return new Invalid($message, null === $line ? [] : ['line' => $line], type: 'broken-file');
    }
}
