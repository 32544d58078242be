<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Stance;

/**
 * Splits a page of notes into bullets, sentences and headings. Whatever cannot be read as a chain is returned as text,
 * so that no word of the page is lost.
 */
final readonly class NotesPage
{
    /** A bullet, a number of a list, or a box to tick. */
    private const BULLET = <<<'REGEX'
        ~^\s*(?:
          [-*\x{2022}\x{2023}\x{25E6}\x{2013}\x{2014}]+\s+
        | \(?(?:\d{1,2}|[a-z])[.)]\s+(?=\p{L})
        | \[[\ x]?\]\s+
        )+~iux
        REGEX;
    /** Maximum number of words of a heading without a sign of one. */
    private const HEADING_WORDS = 6;

    public function __construct(private Reader $reader)
    {
    }

    /**
     * @param Stance $stance in which left and right are understood
     * @param int $most lines that are split; those after them are not looked at
     *
     * @return list<NotesEntry> in the order of the page
     */
    public function split(string $text, Numbering $numbering, Stance $stance, int $most = 10_000): array
    {
        $lines = preg_split('/\r\n|\n|\r/', $text, $most + 1);
        $lines = false === $lines ? [] : \array_slice($lines, 0, $most);
        $heading = '';
        $entries = [];
        foreach ($lines as $index => $line) {
            if ('' === trim($line)) {
                continue;
            }
            $bare = trim((string) preg_replace(self::BULLET, '', $line));
            if ($this->isHeading($line, $bare, $lines, $index, $numbering, $stance)) {
                $heading = trim($bare, "#: \t*_");
                $entries[] = new NotesEntry($index + 1, $heading, NotesKind::Heading);
                continue;
            }
            array_push($entries, ...$this->parts($bare, $index + 1, $heading, $numbering, $stance));
        }

        return self::underHeadings($entries);
    }

    /** @param list<string> $lines */
    private function isHeading(
        string $line,
        string $bare,
        array $lines,
        int $index,
        Numbering $numbering,
        Stance $stance,
    ): bool {
        if (1 === preg_match('/^\s*#{1,6}\s|:\s*$/', $line)) {
            return true;
        }
        $isShort = \count(explode(' ', $bare)) <= self::HEADING_WORDS && 1 !== preg_match('/[.!?,;\d]/', $bare);
        $after = trim((string) preg_replace(self::BULLET, '', $lines[$index + 1] ?? ''));

        return $isShort
            && '' !== $after
            && $bare === trim($line)
            && ('' === trim($lines[$index - 1] ?? '') || $this->reads($after, $numbering, $stance))
            && !$this->reads($bare, $numbering, $stance);
    }

    /** @return list<NotesEntry> the line as one, or its sentences where some of them can be read */
    private function parts(string $bare, int $line, string $heading, Numbering $numbering, Stance $stance): array
    {
        $whole = $this->entry($bare, $line, $heading, $numbering, $stance);
        $sentences = preg_split('/(?<=[.!?;])\s+/u', $bare);
        if (NotesKind::Chain === $whole->kind || false === $sentences || \count($sentences) < 2) {
            return [$whole];
        }

        return array_map(
            fn (string $sentence): NotesEntry => $this->entry($sentence, $line, $heading, $numbering, $stance),
            $sentences,
        );
    }

    private function entry(string $text, int $line, string $heading, Numbering $numbering, Stance $stance): NotesEntry
    {
        [$name, $chain] =
            1 === preg_match('/^([^:]*\p{L}[^:]*):\s+([^:]+)$/u', $text, $found)
                ? [trim($found[1]), trim($found[2])]
                : ['', $text];
        $kind = match (true) {
            $this->reads($chain, $numbering, $stance) => NotesKind::Chain,
            $this->reader->mentions($text) => NotesKind::Unclear,
            default => NotesKind::Remark,
        };

        return new NotesEntry($line, NotesKind::Remark === $kind ? $text : $chain, $kind, $name, $heading);
    }

    private function reads(string $text, Numbering $numbering, Stance $stance): bool
    {
        return null !== $this->reader->read($text, $numbering, $stance)->chain;
    }

    /**
     * Gives a heading over one chain alone to it as its name; one with nothing under it stays as a remark.
     *
     * @param list<NotesEntry> $entries
     *
     * @return list<NotesEntry>
     */
    private static function underHeadings(array $entries): array
    {
        $chains = array_count_values(
            array_map(
                static fn (NotesEntry $entry): string => NotesKind::Chain === $entry->kind ? $entry->heading : '',
                $entries,
            ),
        );
        $under = [];
        foreach ($entries as $entry) {
            if (NotesKind::Heading === $entry->kind) {
                if (!isset($chains[$entry->text])) {
                    $under[] = new NotesEntry($entry->line, $entry->text, NotesKind::Remark);
                }
                continue;
            }
            $isAlone = '' === $entry->name && 1 === ($chains[$entry->heading] ?? 0);
            $under[] = $isAlone && NotesKind::Chain === $entry->kind
                ? new NotesEntry($entry->line, $entry->text, $entry->kind, $entry->heading)
                : $entry;
        }

        return $under;
    }
}
