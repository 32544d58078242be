<?php

declare(strict_types=1);

namespace Periplus\App\InOut;

use Periplus\App\Http\Problem;

/** Cuts a file into its combinations. What cannot be cut is said with its line; nothing is guessed. */
final readonly class Entries
{
    public const MOST = 10_000;
    private const SHOWN = 200;
    private const FIELDS = ['name', 'chain', 'stance', 'rules', 'themes', 'level', 'note'];

    /**
     * @param array{scheme: string, stance: string, rules: string} $given what holds where the file does not say
     *
     * @return list<Entry>
     *
     * @throws Problem when it is not a file of that form at all
     */
    public static function of(Format $format, string $content, array $given): array
    {
        if (!mb_check_encoding($content, 'UTF-8')) {
            throw self::broken('This file is not UTF-8 text. Save it as UTF-8 and import it again.');
        }
        $content = str_starts_with($content, "\u{FEFF}") ? substr($content, 3) : $content;
        $entries = match ($format) {
            Format::Json => self::json($content),
            Format::Csv => self::csv($content, $given),
            Format::Text => self::text($content, $given),
        };
        if ([] === $entries) {
            throw self::broken('There is no combination in this file.');
        }
        if (\count($entries) > self::MOST) {
            throw self::broken(\sprintf('This file has %s combinations; at most %s are imported at a time. Split it.', number_format(\count($entries)), number_format(self::MOST)));
        }

        return $entries;
    }

    /** @return list<Entry> */
    private static function json(string $content): array
    {
        $data = json_decode($content, true, 32);
        if (null === $data && \JSON_ERROR_NONE !== json_last_error()) {
            $place = JsonPlace::ofMistake($content);
            throw self::broken(\sprintf('This JSON is broken at line %d, column %d. Nothing was imported.', $place->line, $place->column), $place->line);
        }
        if (!\is_array($data) || Export::FORMAT !== ($data['format'] ?? null) || !\is_array($data['combinations'] ?? null)) {
            throw self::broken(\sprintf('This is not a library of Periplus: it needs "format": "%s" and a list of combinations.', Export::FORMAT));
        }
        if (Export::VERSION !== ($data['version'] ?? null)) {
            throw self::broken(\sprintf('This library is of version %s, and version %d is understood here. Export it anew.', \is_scalar($data['version'] ?? null) ? (string) $data['version'] : 'unknown', Export::VERSION));
        }
        $lines = JsonPlace::ofItems($content, 'combinations');
        $entries = [];
        foreach (array_values($data['combinations']) as $at => $row) {
            $line = $lines[$at] ?? 1;
            $source = self::short((string) json_encode($row, \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES));
            if (!\is_array($row) || !\is_string($row['name'] ?? null) || !\is_string($row['chain'] ?? null)) {
                $entries[] = new Entry($line, $source, null, 'A combination has a "name" and a "chain".');
                continue;
            }
            $string = static fn (string $key, string $default): string => \is_string($row[$key] ?? null) ? $row[$key] : $default;
            $themes = \is_array($row['themes'] ?? null) ? array_values(array_filter($row['themes'], is_string(...))) : [];
            $entries[] = new Entry($line, $source, [
                'name' => $row['name'],
                'chain' => $row['chain'],
                'scheme' => 'parity',
                'stance' => $string('stance', 'orthodox'),
                'rules' => $string('rules', 'all-limbs'),
                'themes' => $themes,
                'level' => \is_int($row['level'] ?? null) ? $row['level'] : null,
                'note' => $string('note', ''),
                'archived' => true === ($row['archived'] ?? false),
            ], stated: array_values(array_map(strval(...), array_intersect(array_keys($row), self::FIELDS))));
        }

        return $entries;
    }

    /**
     * @param array{scheme: string, stance: string, rules: string} $given
     *
     * @return list<Entry>
     */
    private static function csv(string $content, array $given): array
    {
        $stream = fopen('php://temp', 'r+');
        \assert(false !== $stream);
        fwrite($stream, $content);
        rewind($stream);
        $first = fgetcsv($stream, null, ',', '"', '');
        $columns = array_map(static fn (?string $name): string => mb_strtolower(trim($name ?? '')), false === $first ? [] : $first);
        if (!\in_array('chain', $columns, true)) {
            throw self::broken('The first line of a CSV file names its columns, and one of them is "chain". The others may be '.implode(', ', array_diff(Export::COLUMNS, ['chain'])).'.', 1);
        }
        $entries = [];
        [$line, $counted] = [1, 0];
        while (true) {
            $at = (int) ftell($stream);
            $line += substr_count($content, "\n", $counted, $at - $counted);
            $counted = $at;
            $cells = fgetcsv($stream, null, ',', '"', '');
            if (false === $cells) {
                return $entries;
            }
            if ([null] === $cells) {
                continue;
            }
            $source = self::short(implode(',', $cells));
            if (\count($cells) > \count($columns)) {
                $entries[] = new Entry($line, $source, null, \sprintf('This line has %d cells, and there are %d columns. Is a comma missing its quotes?', \count($cells), \count($columns)));
                continue;
            }
            $row = [];
            foreach ($columns as $at => $column) {
                $row[$column] = (string) preg_replace("/^'(?='*[=+\\-@\\t\\r])/", '', $cells[$at] ?? '');
            }
            $or = static fn (string $column, string $default): string => '' === trim($row[$column] ?? '') ? $default : trim($row[$column]);
            $entries[] = new Entry($line, $source, [
                'name' => $or('name', ''),
                'chain' => $row['chain'],
                'scheme' => $or('numbering', $given['scheme']),
                'stance' => $or('stance', $given['stance']),
                'rules' => $or('rules', $given['rules']),
                'themes' => array_values(array_filter(array_map(trim(...), explode(';', $row['themes'] ?? '')), static fn (string $theme): bool => '' !== $theme)),
                'level' => is_numeric($or('level', '')) ? (int) $or('level', '') : null,
                'note' => $row['note'] ?? '',
                'archived' => \in_array(mb_strtolower($or('archived', 'no')), ['yes', 'true', '1'], true),
            ], stated: array_values(array_filter(self::FIELDS, static fn (string $field): bool => \in_array($field, ['themes', 'note'], true) ? isset($row[$field]) : '' !== $or($field, ''))));
        }
    }

    /**
     * @param array{scheme: string, stance: string, rules: string} $given
     *
     * @return list<Entry>
     */
    private static function text(string $content, array $given): array
    {
        $lines = preg_split('/\R/u', $content);
        $entries = [];
        foreach (false === $lines ? [] : $lines as $at => $line) {
            [$chain, $name] = array_map(trim(...), [...explode('#', $line, 2), '']);
            if ('' === $chain) {
                // A line that begins with "#" is a remark.
                continue;
            }
            $entries[] = new Entry($at + 1, self::short($line), [
                'name' => $name, 'chain' => $chain, 'scheme' => $given['scheme'], 'stance' => $given['stance'], 'rules' => $given['rules'], 'themes' => [], 'level' => null, 'note' => '', 'archived' => false,
            ]);
        }

        return $entries;
    }

    private static function short(string $source): string
    {
        return mb_strlen($source) > self::SHOWN ? mb_substr($source, 0, self::SHOWN).'…' : $source;
    }

    private static function broken(string $message, ?int $line = null): Problem
    {
        return new Problem(422, 'broken-file', $message, null === $line ? [] : ['line' => $line]);
    }
}
