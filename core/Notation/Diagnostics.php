<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** Collects problems, and notes on how ambiguous text was understood. */
final class Diagnostics
{
    /** Maximum number of problems shown. */
    private const MAX_PROBLEMS = 20;

    /** @var list<ReadingProblem> */
    private array $problems = [];
    /** @var list<Note> */
    private array $notes = [];

    /**
     * @param string $message one sentence for people
     * @param string $expected what would be valid there
     * @param list<string> $nearest texts that would be accepted in its place, nearest first
     */
    public function problem(Span $span, string $message, string $expected, array $nearest = []): void
    {
        $this->problems[] = new ReadingProblem(
            $span->at,
            $span->length,
            $message,
            $expected,
            array_values(array_unique($nearest)),
        );
    }

    /** @param list<string> $choices texts that may stand in its place, where another reading is as likely */
    public function note(Span $span, string $message, array $choices = []): void
    {
        $this->notes[] = new Note($span->at, $span->length, $message, $choices);
    }

    public function hasProblems(): bool
    {
        return [] !== $this->problems;
    }

    public function isFull(): bool
    {
        return \count($this->problems) >= self::MAX_PROBLEMS;
    }

    /** @return list<ReadingProblem> in the order of the text */
    public function problems(): array
    {
        usort($this->problems, static fn (ReadingProblem $a, ReadingProblem $b): int => $a->at <=> $b->at);

        return $this->problems;
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return $this->notes;
    }

    /** Returns an excerpt of the text that is short enough for a sentence. */
    public static function excerpt(string $text): string
    {
        return mb_strlen($text) > 24 ? mb_substr($text, 0, 24).'…' : $text;
    }
}
