<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Exchange\Csv;
use Periplus\App\Logbook\LogEntries;
use Periplus\App\Logbook\LogEntry;
use Psr\Clock\ClockInterface;

/** Exports the logbook as JSON or CSV, a part at a time. */
final readonly class LogExport
{
    /** Number of entries read at a time. */
    private const BATCH = 500;

    public function __construct(private LogEntries $logEntries, private ClockInterface $clock)
    {
    }

    /** @return iterable<string> */
    public function json(): iterable
    {
        yield '{"format":"'
            .LogFormat::NAME
            .'","version":'
            .LogFormat::VERSION
            .',"exportedAt":"'
            .$this->clock->now()->format(\DATE_ATOM)
            .'","entries":[';
        $isFirst = true;
        foreach ($this->entries() as $entry) {
            yield ($isFirst ? "\n" : ",\n")
                .json_encode(
                    new ExportedEntry($entry),
                    \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
                );
            $isFirst = false;
        }
        yield "\n]}\n";
    }

    /** @return iterable<string> a line for each combination of each entry */
    public function csv(): iterable
    {
        yield Csv::line(LogFormat::COLUMNS);
        foreach ($this->entries() as $entry) {
            yield from $this->lines(new ExportedEntry($entry));
        }
    }

    /** @return iterable<string> */
    private function lines(ExportedEntry $entry): iterable
    {
        $written = [];
        foreach ([] === $entry->drilled ? [null] : $entry->drilled as $row) {
            $chain = null === $row ? '' : $row->stance->value.' '.$row->chain;
            // The links that fell apart are written with the first row of their chain.
            $fallen = null === $row || isset($written[$chain])
                ? []
                : array_filter(
                    $entry->fallen,
                    static fn (ExportedLink $link): bool => $link->stance->value.' '.$link->chain === $chain,
                );
            $written[$chain] = true;
            yield Csv::line(array_map(static fn (int|float|string|null $cell): string => (string) $cell, [
                $entry->key,
                $entry->day,
                $entry->session,
                $entry->course,
                $entry->coach,
                $entry->lengthMs,
                $entry->workMs,
                $entry->orthodox,
                $entry->southpaw,
                $entry->levels[1] ?? null,
                $entry->levels[2] ?? null,
                $entry->levels[3] ?? null,
                $entry->effort,
                $entry->note,
                $row?->combination,
                $row?->chain,
                $row?->stance->value,
                $row?->thrown,
                $row?->medium->value,
                $row?->level,
                $row?->ms,
                $row?->otherMs,
                $row?->repetitions,
                $row?->strikes,
                implode(' ', array_column($fallen, 'link')),
                implode(LogFormat::BETWEEN_FAULTS, array_map(
                    static fn (ExportedLink $link): string => $link->fault ?? '',
                    $fallen,
                )),
            ]));
        }
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
}
