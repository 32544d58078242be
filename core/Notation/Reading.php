<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Chain;

/** The result of reading a text: a chain when all of it could be read, otherwise the problems. */
final readonly class Reading
{
    /**
     * @param Chain|null $chain null when there is a problem
     * @param list<Span> $spans where each item of the chain stands in the text; a repeated item points to its one place
     * @param list<ReadingProblem> $problems in the order of the text
     * @param list<Note> $notes
     * @param list<Span> $passedOver what carries nothing, in the order of the text
     */
    public function __construct(
        public ?Chain $chain,
        public array $spans,
        public array $problems,
        public array $notes,
        public array $passedOver = [],
    ) {
    }

    /** Returns the same reading with a note in front of the others. */
    public function with(Note $note): self
    {
        return new self($this->chain, $this->spans, $this->problems, [$note, ...$this->notes], $this->passedOver);
    }

    /**
     * Returns the index of the item in which or directly after which the cursor is, otherwise the last one before it.
     * Repeated items share their place; the last of them counts.
     *
     * @param int|null $caret in characters; the last item when null
     */
    public function placeOf(?int $caret): int
    {
        if (null === $caret) {
            return \count($this->spans) - 1;
        }
        $place = 0;
        foreach ($this->spans as $index => $span) {
            if (
                $span->at > $caret
                || ($span->at > $this->spans[$place]->at
                    && $this->spans[$place]->at + $this->spans[$place]->length >= $caret)
            ) {
                break;
            }
            $place = $index;
        }

        return $place;
    }
}
