<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Exchange\Csv;
use Periplus\App\Store\Invalid;

use function Periplus\Core\Language\t;

/** Parses a file of the logbook, JSON or CSV, into entries that are not checked yet. */
final readonly class LogParser
{
    private const BYTE_ORDER_MARK = "\xEF\xBB\xBF";

    /**
     * @return array<array-key, array<array-key, mixed>> by key, with the keys of {@see ExportedEntry}
     *
     * @throws Invalid when it cannot be read, with the place
     */
    public function parse(string $text): array
    {
        return str_starts_with(ltrim($text, self::BYTE_ORDER_MARK." \t\r\n"), '{')
            ? $this->json($text)
            : $this->csv($text);
    }

    /** @return array<array-key, array<array-key, mixed>> by key */
    private function json(string $text): array
    {
        $data = json_decode(ltrim($text, self::BYTE_ORDER_MARK), true, 32);
        $data = \is_array($data) ? $data : [];
        if (LogFormat::NAME !== ($data['format'] ?? null) || !\is_array($data['entries'] ?? null)) {
            throw new Invalid(
                t('This is not a Periplus logbook. Import a JSON or CSV file that was exported by Periplus.'),
            );
        }
        $entries = [];
        foreach ($data['entries'] as $index => $entry) {
            $key = \is_array($entry) ? $entry['key'] ?? null : null;
            if (!\is_array($entry) || !\is_string($key) || 1 !== preg_match(LogFormat::KEY, $key)) {
                throw new Invalid(t('Entry {index} of the file has no key.', index: (int) $index + 1));
            }
            $entries[$key] = $entry;
        }

        return $entries;
    }

    /** @return array<array-key, array<array-key, mixed>> by key */
    private function csv(string $text): array
    {
        $entries = [];
        foreach ($this->rows($text) as $line => $row) {
            if (1 !== preg_match(LogFormat::KEY, $row['key'])) {
                throw new Invalid(t('Line {line} has no key.', line: $line));
            }
            $number = fn (string $cell): ?float => $this->number($cell, $line);
            $whole = fn (string $cell): ?int => '' === $cell ? null : (int) $this->number($cell, $line);
            $entries[$row['key']] ??= [
                'day' => $row['day'],
                'session' => $row['session'],
                'course' => '' === $row['course'] ? null : $row['course'],
                'coach' => $row['coach'],
                'lengthMs' => $whole($row['lengthMs']),
                'workMs' => $whole($row['workMs']),
                'orthodox' => $whole($row['orthodox']),
                'southpaw' => $whole($row['southpaw']),
                'levels' => array_filter(
                    ['1' => $whole($row['level1']), '2' => $whole($row['level2']), '3' => $whole($row['level3'])],
                    \is_int(...),
                ),
                'effort' => $whole($row['effort']),
                'note' => $row['note'],
                'drilled' => [],
                'fallen' => [],
            ];
            if ('' !== $row['medium']) {
                $entries[$row['key']]['drilled'][] = [
                    'combination' => $row['combination'],
                    'chain' => '' === $row['chain'] ? null : $row['chain'],
                    'stance' => $row['stance'],
                    'thrown' => '' === $row['thrown'] ? null : $row['thrown'],
                    'medium' => $row['medium'],
                    'level' => $whole($row['level']),
                    'ms' => $whole($row['ms']),
                    'otherMs' => $whole($row['otherMs']),
                    'repetitions' => $number($row['repetitions']),
                    'strikes' => $number($row['strikes']),
                ];
            }
            $faults = explode(LogFormat::BETWEEN_FAULTS, $row['faults']);
            foreach ('' === $row['fallen'] ? [] : explode(' ', $row['fallen']) as $place => $link) {
                $entries[$row['key']]['fallen'][] = [
                    'chain' => $row['chain'],
                    'stance' => $row['stance'],
                    'link' => (int) $link,
                    'fault' => $faults[$place] ?? '',
                ];
            }
        }

        return $entries;
    }

    /** @return iterable<int, array<string, string>> cells by column, by the number of the line */
    private function rows(string $text): iterable
    {
        $stream = fopen('php://temp', 'r+');
        if (false === $stream) {
            throw new \RuntimeException('There is no room to read the file.');
        }
        fwrite($stream, ltrim($text, self::BYTE_ORDER_MARK));
        rewind($stream);
        $columns = fgetcsv($stream, null, ',', '"', '');
        // Files of earlier versions have no faults.
        if (!\in_array($columns, [LogFormat::COLUMNS, \array_slice(LogFormat::COLUMNS, 0, -1)], true)) {
            throw new Invalid(t('This is not a Periplus logbook: the first line does not name its columns.'));
        }
        for ($line = 2; false !== ($cells = fgetcsv($stream, null, ',', '"', '')); ++$line) {
            if ([null] === $cells) {
                continue;
            }
            if (\count($cells) !== \count($columns)) {
                throw new Invalid(t(
                    'Line {line} has {count} cells; {count2} are expected.',
                    line: $line,
                    count: \count($cells),
                    count2: \count($columns),
                ));
            }
            yield $line => array_map(
                static fn (?string $cell): string => Csv::read((string) $cell),
                array_combine($columns, $cells) + ['faults' => ''],
            );
        }
        fclose($stream);
    }

    private function number(string $cell, int $line): ?float
    {
        return match (true) {
            '' === $cell => null,
            is_numeric($cell) => (float) $cell,
            default => throw new Invalid(
                t('Line {line}: “{cell}” is no number.', line: $line, cell: mb_strimwidth($cell, 0, 30, '…')),
            ),
        };
    }
}
