<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Course\Courses;
use Periplus\App\Exchange\Csv;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Log\Attendance;
use Periplus\Core\Technique\Stance;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Exports and imports the logbook: docs/formats/logbook.md. Every entry has a unique key, so that importing a file
 * twice adds nothing twice.
 */
final readonly class LogFiles
{
    public const FORMAT = 'periplus-logbook';
    public const VERSION = 1;
    private const COLUMNS = [
        'key',
        'day',
        'session',
        'course',
        'coach',
        'lengthMs',
        'workMs',
        'orthodox',
        'southpaw',
        'level1',
        'level2',
        'level3',
        'effort',
        'note',
        'combination',
        'chain',
        'stance',
        'thrown',
        'medium',
        'level',
        'ms',
        'otherMs',
        'repetitions',
        'strikes',
        'fallen',
    ];
    /** Number of entries read at a time. */
    private const BATCH = 500;
    /** Maximum number of entries in an imported file. */
    private const MAX_ENTRIES = 20_000;
    /** Number of entries imported at a time. */
    private const IMPORT_STEP = 100;
    /** Maximum number of rows of one entry. */
    private const MAX_DRILLED = 500;
    private const MAX_FALLEN = 200;
    private const MAX_COUNT = 1e6;

    public function __construct(
        private Logbook $logbook,
        private LogEntries $logEntries,
        private Courses $courses,
        private CombinationTable $combinations,
        private Reader $reader,
        private ClockInterface $clock,
    ) {
    }

    /** @return iterable<string> */
    public function json(): iterable
    {
        yield '{"format":"'
            .self::FORMAT
            .'","version":'
            .self::VERSION
            .',"exportedAt":"'
            .$this->clock->now()->format(\DATE_ATOM)
            .'","entries":[';
        $isFirst = true;
        foreach ($this->entries() as $entry) {
            yield ($isFirst ? "\n" : ",\n")
                .json_encode(
                    $this->document($entry),
                    \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
                );
            $isFirst = false;
        }
        yield "\n]}\n";
    }

    /** @return iterable<string> a line for each combination of each entry */
    public function csv(): iterable
    {
        yield Csv::line(self::COLUMNS);
        foreach ($this->entries() as $entry) {
            $document = $this->document($entry);
            $levels = $entry->attendance()->levels;
            $head = [
                $document['key'],
                $document['day'],
                $document['session'],
                $document['course'] ?? '',
                $document['coach'],
                $document['lengthMs'],
                $document['workMs'],
                $document['orthodox'],
                $document['southpaw'],
                $levels[1] ?? '',
                $levels[2] ?? '',
                $levels[3] ?? '',
                $document['effort'],
                $document['note'],
            ];
            $told = [];
            foreach ([] === $document['drilled'] ? [null] : $document['drilled'] as $row) {
                $chain = null === $row ? '' : $row['stance'].' '.$row['chain'];
                // The links that fell apart are written with the first row of their chain.
                $fallen =
                    null === $row || isset($told[$chain])
                        ? []
                        : array_filter(
                            $document['fallen'],
                            static fn (array $link): bool => $link['stance'].' '.$link['chain'] === $chain,
                        );
                $told[$chain] = true;
                $cells =
                    null === $row
                        ? array_fill(0, 10, '')
                        : [
                            $row['combination'],
                            $row['chain'] ?? '',
                            $row['stance'],
                            $row['thrown'] ?? '',
                            $row['medium'],
                            $row['level'] ?? '',
                            $row['ms'],
                            $row['otherMs'],
                            $row['repetitions'],
                            $row['strikes'],
                        ];
                yield Csv::line(
                    array_map(static fn (int|float|string|null $cell): string => (string) $cell, [
                        ...$head,
                        ...$cells,
                        implode(' ', array_column($fallen, 'link')),
                    ]),
                );
            }
        }
    }

    /**
     * Imports the next entries of a file, all of them or none. Existing entries are skipped, so an interrupted import
     * can be repeated.
     *
     * @param int $from entries that were taken in before
     *
     * @return array{new: int, known: int, next: int|null, total: int} next: from where to go on; null at the end
     *
     * @throws Refused when it cannot be read, with the place
     */
    public function import(string $text, User $editor, int $from = 0): array
    {
        $entries = str_starts_with(ltrim($text, "\xEF\xBB\xBF \t\r\n"), '{')
            ? $this->ofJson($text)
            : $this->ofCsv($text);
        if (\count($entries) > self::MAX_ENTRIES) {
            throw self::wrong(
                t(
                    'The file has {count} entries; at most {maxEntries} come in at a time. Split it.',
                    count: number_format(\count($entries)),
                    maxEntries: number_format(self::MAX_ENTRIES),
                ),
            );
        }
        $total = \count($entries);
        $entries = \array_slice($entries, $from, self::IMPORT_STEP, true);
        $courses = [];
        foreach ($this->courses->all() as $course) {
            $courses[$course->name()] = $course;
        }
        $known = $this->logEntries->known(array_map(strval(...), array_keys($entries)));
        $new = [];
        foreach ($entries as $key => $entry) {
            if (!isset($known[(string) $key])) {
                $new[$key] = $this->read($entry, $courses, 'Entry '.$key);
            }
        }
        if ([] !== $new) {
            $this->logbook->import($new, $editor);
        }

        return [
            'new' => \count($new),
            'known' => \count($known),
            'next' => $from + self::IMPORT_STEP < $total ? $from + self::IMPORT_STEP : null,
            'total' => $total,
        ];
    }

    /** @return iterable<LogEntry> */
    private function entries(): iterable
    {
        $after = ['0000-00-00', 0];
        do {
            $entries = $this->logEntries->after($after[0], $after[1], self::BATCH);
            foreach ($entries as $entry) {
                $after = [$entry->day(), $entry->id()];
                yield $entry;
            }
        } while (self::BATCH === \count($entries));
    }

    /**
     * @return array{
     *     key: string,
     *     day: string,
     *     session: string,
     *     course: string|null,
     *     coach: string,
     *     lengthMs: int,
     *     workMs: int,
     *     orthodox: int|null,
     *     southpaw: int|null,
     *     levels: object,
     *     effort: int|null,
     *     note: string,
     *     drilled: list<array{
     *         combination: string,
     *         chain: string|null,
     *         stance: string,
     *         thrown: string|null,
     *         medium: string,
     *         level: int|null,
     *         ms: int,
     *         otherMs: int,
     *         repetitions: float,
     *         strikes: float,
     *     }>,
     *     fallen: list<array{chain: string, stance: string, link: int}>,
     * }
     */
    private function document(LogEntry $entry): array
    {
        return [
            'key' => $entry->key(),
            'day' => $entry->day(),
            'session' => $entry->name(),
            'course' => $entry->course()?->name(),
            'coach' => $entry->coachName(),
            'lengthMs' => $entry->lengthMs(),
            'workMs' => $entry->workMs(),
            'orthodox' => $entry->attendance()->orthodox,
            'southpaw' => $entry->attendance()->southpaw,
            'levels' => (object) $entry->attendance()->levels,
            'effort' => $entry->effort(),
            'note' => $entry->note(),
            'drilled' => array_map(
                static fn (DrilledRow $row): array => [
                    'combination' => $row->name,
                    'chain' => $row->notation,
                    'stance' => $row->stance->value,
                    'thrown' => $row->thrown,
                    'medium' => $row->medium->value,
                    'level' => $row->level,
                    'ms' => $row->ms,
                    'otherMs' => $row->otherMs,
                    'repetitions' => $row->repetitions,
                    'strikes' => $row->strikes,
                ],
                $entry->drilled(),
            ),
            'fallen' => array_map(
                static fn (FallenLink $link): array => [
                    'chain' => $link->notation,
                    'stance' => $link->stance->value,
                    'link' => $link->link,
                ],
                $entry->fallen(),
            ),
        ];
    }

    /** @return array<array-key, array<array-key, mixed>> entries by key */
    private function ofJson(string $text): array
    {
        $data = json_decode(ltrim($text, "\xEF\xBB\xBF"), true, 32);
        if (!\is_array($data) || self::FORMAT !== ($data['format'] ?? null) || !\is_array($data['entries'] ?? null)) {
            throw self::wrong(
                t('This is not a Periplus logbook. Import a JSON or CSV file that was exported by Periplus.'),
            );
        }
        $entries = [];
        foreach ($data['entries'] as $index => $entry) {
            $key = \is_array($entry) ? $entry['key'] ?? null : null;
            if (!\is_array($entry) || !\is_string($key) || 1 !== preg_match('/^[A-Za-z0-9-]{4,64}$/D', $key)) {
                throw self::wrong(t('Entry {index} of the file has no key.', index: (int) $index + 1));
            }
            $entries[$key] = $entry;
        }

        return $entries;
    }

    /** @return array<array-key, array<array-key, mixed>> entries by key */
    private function ofCsv(string $text): array
    {
        $stream = fopen('php://temp', 'r+');
        if (false === $stream) {
            throw new \RuntimeException('There is no room to read the file.');
        }
        fwrite($stream, ltrim($text, "\xEF\xBB\xBF"));
        rewind($stream);
        $head = fgetcsv($stream, null, ',', '"', '');
        if (self::COLUMNS !== $head) {
            throw self::wrong(t('This is not a Periplus logbook: the first line does not name its columns.'));
        }
        $entries = [];
        for ($line = 2; false !== ($cells = fgetcsv($stream, null, ',', '"', '')); ++$line) {
            if ([null] === $cells) {
                continue;
            }
            if (\count($cells) !== \count(self::COLUMNS)) {
                throw self::wrong(
                    t(
                        'Line {line} has {count} cells; {count2} are expected.',
                        line: $line,
                        count: \count($cells),
                        count2: \count(self::COLUMNS),
                    ),
                );
            }
            $row = array_map(
                static fn (?string $cell): string => Csv::read((string) $cell),
                array_combine(self::COLUMNS, $cells),
            );
            $number = static fn (string $cell): ?float => '' === $cell
                ? null
                : (is_numeric($cell)
                    ? (float) $cell
                    : throw self::wrong(
                        t('Line {line}: “{cell}” is no number.', line: $line, cell: mb_strimwidth($cell, 0, 30, '…')),
                    ));
            $whole = static fn (string $cell): ?int => null === $number($cell) ? null : (int) $number($cell);
            if (1 !== preg_match('/^[A-Za-z0-9-]{4,64}$/D', $row['key'])) {
                throw self::wrong(t('Line {line} has no key.', line: $line));
            }
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
            foreach ('' === $row['fallen'] ? [] : explode(' ', $row['fallen']) as $link) {
                $entries[$row['key']]['fallen'][] = [
                    'chain' => $row['chain'],
                    'stance' => $row['stance'],
                    'link' => (int) $link,
                ];
            }
        }
        fclose($stream);

        return $entries;
    }

    /**
     * @param array<array-key, mixed> $entry
     * @param array<string, Course> $courses by name
     */
    private function read(array $entry, array $courses, string $where): EntryDraft
    {
        $text = static fn (mixed $value, int $most): string => \is_string($value) ? mb_substr($value, 0, $most) : '';
        $whole = static fn (mixed $value, int $least, int $most): ?int => is_numeric($value)
            ? max($least, min($most, (int) $value))
            : null;
        $count = static fn (mixed $value): float => is_numeric($value)
            ? round(max(0.0, min(self::MAX_COUNT, (float) $value)), 3)
            : 0.0;
        $day = $text($entry['day'] ?? null, 10);
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $day);
        if (false === $date || $date->format('Y-m-d') !== $day) {
            throw self::wrong(t('{where}: “{day}” is not a day. Write it as 2026-11-26.', where: $where, day: $day));
        }
        if ($day < Period::EARLIEST || $day > $this->clock->now()->modify('+1 day')->format('Y-m-d')) {
            throw self::wrong(
                t(
                    '{where}: {day} is out of range. A day is between {earliest} and today.',
                    where: $where,
                    day: $day,
                    earliest: Period::EARLIEST,
                ),
            );
        }
        foreach (['drilled' => self::MAX_DRILLED, 'fallen' => self::MAX_FALLEN] as $part => $most) {
            if (\is_array($entry[$part] ?? null) && \count($entry[$part]) > $most) {
                throw self::wrong(
                    t(
                        '{where} has {count} of “{part}”; a session has at most {most}.',
                        where: $where,
                        count: number_format(\count($entry[$part])),
                        part: $part,
                        most: $most,
                    ),
                );
            }
        }
        $drilled = [];
        foreach (\is_array($entry['drilled'] ?? null) ? $entry['drilled'] : [] as $row) {
            $row = \is_array($row) ? $row : [];
            $medium = Medium::tryFrom($text($row['medium'] ?? null, 10));
            $stance = Stance::tryFrom($text($row['stance'] ?? null, 10));
            if (null === $medium || null === $stance) {
                throw self::wrong(t('{place}: what was drilled needs a stance and a medium.', place: $where));
            }
            $chain = $this->chain($row['chain'] ?? null, $stance, $where);
            $drilled[] = new DrilledRow(
                $chain[1] ?? null,
                $text($row['combination'] ?? null, 120),
                $chain[0] ?? null,
                $stance,
                $this->chain($row['thrown'] ?? null, $stance, $where)[0] ?? null,
                $medium,
                $whole($row['level'] ?? null, 1, 3),
                $whole($row['ms'] ?? null, 0, 86_400_000) ?? 0,
                $whole($row['otherMs'] ?? null, 0, 86_400_000) ?? 0,
                $count($row['repetitions'] ?? null),
                $count($row['strikes'] ?? null),
            );
        }
        $fallen = [];
        foreach (\is_array($entry['fallen'] ?? null) ? $entry['fallen'] : [] as $row) {
            $stance = \is_array($row) ? Stance::tryFrom($text($row['stance'] ?? null, 10)) : null;
            if (\is_array($row) && null !== $stance) {
                $fallen[] = new FallenLink(
                    $text($row['chain'] ?? null, 4000),
                    $stance,
                    $whole($row['link'] ?? null, 0, 63) ?? 0,
                );
            }
        }
        $levels = [];
        foreach (\is_array($entry['levels'] ?? null) ? $entry['levels'] : [] as $level => $athletes) {
            if (\in_array((int) $level, [1, 2, 3], true)) {
                $levels[(int) $level] = $whole($athletes, 0, 500) ?? 0;
            }
        }
        $work = $whole($entry['workMs'] ?? null, 0, 86_400_000) ?? 0;

        return new EntryDraft(
            $courses[$text($entry['course'] ?? null, 80)] ?? null,
            $text($entry['session'] ?? null, 120),
            $day,
            $whole($entry['lengthMs'] ?? null, 0, 86_400_000) ?? $work,
            $work,
            null,
            $text($entry['coach'] ?? null, 120),
            new Attendance(
                $whole($entry['orthodox'] ?? null, 0, 500),
                $whole($entry['southpaw'] ?? null, 0, 500),
                $levels,
            ),
            $whole($entry['effort'] ?? null, 0, 10),
            $text($entry['note'] ?? null, 2000),
            true,
            $drilled,
            $fallen,
        );
    }

    /** @return array{string, int|null}|null the canonical chain, and the combination in use that has it */
    private function chain(mixed $notation, Stance $stance, string $where): ?array
    {
        if (!\is_string($notation) || '' === $notation) {
            return null;
        }
        $chain =
            $this->reader->readStored($notation, $stance)->chain ??
            throw self::wrong(
                t(
                    '{where}: the chain “{notation}” cannot be read.',
                    where: $where,
                    notation: mb_strimwidth($notation, 0, 60, '…'),
                ),
            );
        $found = $this->combinations->withChains([Fingerprint::of($chain)->withEffort]);

        return [$notation, [] === $found ? null : reset($found)[0]->id];
    }

    private static function wrong(string $message): Refused
    {
        return new Invalid($message);
    }
}
