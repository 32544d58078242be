<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Logbook\DrilledRow;
use Periplus\App\Logbook\EntryDraft;
use Periplus\App\Logbook\FallenLink;
use Periplus\App\Logbook\LogEntry;
use Periplus\App\Store\Invalid;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Log\Attendance;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/** Reads an entry of an imported logbook, and refuses what would be false in the reports. */
final readonly class EntryReader
{
    /** Maximum number of rows of one entry. */
    private const MAX_DRILLED = 500;
    private const MAX_FALLEN = 200;
    private const MAX_COUNT = 1e6;
    private const MAX_MS = 86_400_000;
    private const MAX_ATHLETES = 500;

    public function __construct(
        private CombinationTable $combinations,
        private Reader $reader,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<array-key, mixed> $entry with the keys of {@see ExportedEntry}
     * @param array<string, Course> $courses by name
     * @param string $where the entry is, for messages
     *
     * @throws Invalid
     */
    public function read(array $entry, array $courses, string $where): EntryDraft
    {
        $day = $this->day($this->text($entry['day'] ?? null, 10), $where);
        $workMs = $this->whole($entry['workMs'] ?? null, 0, self::MAX_MS) ?? 0;

        return new EntryDraft(
            course: $courses[$this->text($entry['course'] ?? null, 80)] ?? null,
            name: $this->text($entry['session'] ?? null, 120),
            day: $day,
            lengthMs: $this->whole($entry['lengthMs'] ?? null, 0, self::MAX_MS) ?? $workMs,
            workMs: $workMs,
            coach: null,
            coachName: $this->text($entry['coach'] ?? null, 120),
            attendance: $this->attendance($entry),
            effort: $this->whole($entry['effort'] ?? null, 0, 10),
            note: $this->text($entry['note'] ?? null, 2000),
            isChecked: true,
            drilled: array_map(
                fn (array $row): DrilledRow => $this->drilled($row, $where),
                $this->rows($entry, 'drilled', self::MAX_DRILLED, $where),
            ),
            fallen: array_values(array_filter(
                array_map($this->fallen(...), $this->rows($entry, 'fallen', self::MAX_FALLEN, $where)),
            )),
        );
    }

    private function day(string $day, string $where): string
    {
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $day);
        if (false === $date || $date->format('Y-m-d') !== $day) {
            throw new Invalid(t('{where}: “{day}” is not a day. Write it as 2026-11-26.', where: $where, day: $day));
        }
        if ($day < LogEntry::EARLIEST_DAY || $day > $this->clock->now()->modify('+1 day')->format('Y-m-d')) {
            throw new Invalid(t(
                '{where}: {day} is out of range. A day is between {earliest} and today.',
                where: $where,
                day: $day,
                earliest: LogEntry::EARLIEST_DAY,
            ));
        }

        return $day;
    }

    /** @param array<array-key, mixed> $entry */
    private function attendance(array $entry): Attendance
    {
        $levels = [];
        foreach (\is_array($entry['levels'] ?? null) ? $entry['levels'] : [] as $level => $athletes) {
            if (\in_array((int) $level, [1, 2, 3], true)) {
                $levels[(int) $level] = $this->whole($athletes, 0, self::MAX_ATHLETES) ?? 0;
            }
        }

        return new Attendance(
            $this->whole($entry['orthodox'] ?? null, 0, self::MAX_ATHLETES),
            $this->whole($entry['southpaw'] ?? null, 0, self::MAX_ATHLETES),
            $levels,
        );
    }

    /** @param array<array-key, mixed> $row */
    private function drilled(array $row, string $where): DrilledRow
    {
        $medium = Medium::tryFrom($this->text($row['medium'] ?? null, 10));
        $stance = Stance::tryFrom($this->text($row['stance'] ?? null, 10));
        if (null === $medium || null === $stance) {
            throw new Invalid(t('{place}: what was drilled needs a stance and a medium.', place: $where));
        }
        $notation = $this->notation($row['chain'] ?? null);
        $thrown = $this->notation($row['thrown'] ?? null);
        if (null !== $thrown) {
            $this->chain($thrown, $stance, $where);
        }

        return new DrilledRow(
            combination: null === $notation ? null : $this->inLibrary($this->chain($notation, $stance, $where)),
            name: $this->text($row['combination'] ?? null, 120),
            notation: $notation,
            stance: $stance,
            thrown: $thrown,
            medium: $medium,
            level: $this->whole($row['level'] ?? null, 1, 3),
            ms: $this->whole($row['ms'] ?? null, 0, self::MAX_MS) ?? 0,
            otherMs: $this->whole($row['otherMs'] ?? null, 0, self::MAX_MS) ?? 0,
            repetitions: $this->count($row['repetitions'] ?? null),
            strikes: $this->count($row['strikes'] ?? null),
        );
    }

    /**
     * @param array<array-key, mixed> $row
     *
     * @return FallenLink|null null without a stance
     */
    private function fallen(array $row): ?FallenLink
    {
        $stance = Stance::tryFrom($this->text($row['stance'] ?? null, 10));
        $fault = $this->text($row['fault'] ?? null, FallenLink::MAX_FAULT);

        return null === $stance
            ? null
            : new FallenLink(
                $this->text($row['chain'] ?? null, 4000),
                $stance,
                $this->whole($row['link'] ?? null, 0, 63) ?? 0,
                '' === $fault ? null : $fault,
            );
    }

    /**
     * @param array<array-key, mixed> $entry
     *
     * @return list<array<array-key, mixed>>
     */
    private function rows(array $entry, string $part, int $most, string $where): array
    {
        $rows = \is_array($entry[$part] ?? null) ? array_values($entry[$part]) : [];
        if (\count($rows) > $most) {
            throw new Invalid(t(
                '{where} has {count} of “{part}”; a session has at most {most}.',
                where: $where,
                count: number_format(\count($rows)),
                part: $part,
                most: $most,
            ));
        }

        return array_map(static fn (mixed $row): array => \is_array($row) ? $row : [], $rows);
    }

    private function notation(mixed $chain): ?string
    {
        return \is_string($chain) && '' !== $chain ? $chain : null;
    }

    private function chain(string $notation, Stance $stance, string $where): Chain
    {
        return $this->reader->readStored($notation, $stance)->chain ?? throw new Invalid(t(
            '{where}: the chain “{notation}” cannot be read.',
            where: $where,
            notation: mb_strimwidth($notation, 0, 60, '…'),
        ));
    }

    /** Returns the id of the combination in use that has the chain. */
    private function inLibrary(Chain $chain): ?int
    {
        $found = $this->combinations->withChains([Fingerprint::of($chain)->withEffort]);

        return [] === $found ? null : reset($found)[0]->id;
    }

    private function text(mixed $value, int $most): string
    {
        return \is_string($value) ? mb_substr($value, 0, $most) : '';
    }

    private function whole(mixed $value, int $least, int $most): ?int
    {
        return is_numeric($value) ? max($least, min($most, (int) $value)) : null;
    }

    private function count(mixed $value): float
    {
        return is_numeric($value) ? round(max(0.0, min(self::MAX_COUNT, (float) $value)), 3) : 0.0;
    }
}
