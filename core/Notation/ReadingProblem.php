<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A part of the text that could not be read: its place, what was expected, and the nearest accepted text. */
final readonly class ReadingProblem
{
    /**
     * @param int $at first character, counted in Unicode characters from 0
     * @param int $length in Unicode characters
     * @param string $message one sentence for people
     * @param string $expected what would be valid there
     * @param list<string> $nearest texts that would be accepted in its place, nearest first
     * @param string|null $drill the drill that does what was asked for there
     * @param string|null $unknownWord a word that nothing is known of, and that a gym may pass over
     */
    public function __construct(
        public int $at,
        public int $length,
        public string $message,
        public string $expected,
        public array $nearest = [],
        public ?string $drill = null,
        public ?string $unknownWord = null,
    ) {
    }
}
