<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use function Periplus\Core\Language\t;

/** Collects problems, and notes on how ambiguous text was understood. */
final class Diagnostics
{
    /** Maximum number of problems shown. */
    private const MAX_PROBLEMS = 20;

    /** @var list<ReadingProblem> */
    private array $problems = [];
    /** @var list<Note> */
    private array $notes = [];

    /** @param list<Span> $passedOver parts of the text that carry nothing */
    public function __construct(private array $passedOver = [])
    {
    }

    /** Adds a part of the text that is passed over. */
    public function passOver(Span $span): void
    {
        $this->passedOver[] = $span;
    }

    /** @return list<Span> in the order of the text */
    public function passedOver(): array
    {
        if (\count($this->passedOver) < 2) {
            return $this->passedOver;
        }
        usort($this->passedOver, static fn (Span $a, Span $b): int => $a->at <=> $b->at);

        return $this->passedOver;
    }

    /**
     * @param string $message one sentence for people
     * @param string $expected what would be valid there
     * @param list<string> $nearest texts that would be accepted in its place, nearest first
     * @param string|null $drill the drill that does what was asked for there
     * @param string|null $unknownWord a word that a gym may pass over
     */
    public function problem(
        Span $span,
        string $message,
        string $expected,
        array $nearest = [],
        ?string $drill = null,
        ?string $unknownWord = null,
    ): void {
        $this->problems[] = new ReadingProblem(
            at: $span->at,
            length: $span->length,
            message: $message,
            expected: $expected,
            nearest: array_values(array_unique($nearest)),
            drill: $drill,
            unknownWord: $unknownWord,
        );
    }

    /** @param list<string> $choices texts that may stand in its place, where another reading is as likely */
    public function note(Span $span, string $message, array $choices = []): void
    {
        $this->notes[] = new Note($span->at, $span->length, $message, $choices);
    }

    /** Takes the choices from what was noted from that place on, where another note offers them. */
    public function withoutChoicesFrom(Span $span): void
    {
        $this->notes = array_map(
            static fn (Note $note): Note => $note->at < $span->at
                ? $note
                : new Note($note->at, $note->length, $note->message),
            $this->notes,
        );
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
        if (\count($this->problems) < 2) {
            return $this->problems;
        }
        usort($this->problems, static fn (ReadingProblem $a, ReadingProblem $b): int => $a->at <=> $b->at);

        return $this->problems;
    }

    /**
     * Returns the notes; the last one names each word once that was passed over.
     *
     * @param string $text the whole line
     *
     * @return list<Note>
     */
    public function notes(string $text): array
    {
        $spans = $this->passedOver();
        if ([] === $spans) {
            return $this->notes;
        }
        $words = array_unique(
            array_map(static fn (Span $span): string => mb_substr($text, $span->at, $span->length), $spans),
        );

        return [
            ...$this->notes,
            new Note($spans[0]->at, $spans[0]->length, t('Passed over: {words}.', words: implode(', ', $words))),
        ];
    }

    /** Returns an excerpt of the text that is short enough for a sentence. */
    public static function excerpt(string $text): string
    {
        return mb_strlen($text) > 24 ? mb_substr($text, 0, 24).'…' : $text;
    }
}
