<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Chain;

/** What the reader made of a text: the chain when all of it could be read, and every problem otherwise. */
final readonly class Reading
{
    /**
     * @param Chain|null $chain null when there is a problem
     * @param list<Span> $spans where each item of the chain stands in the text; a repeated item points to its one place
     * @param list<ReadingProblem> $problems in the order of the text
     * @param list<Note> $notes
     */
    public function __construct(
        public ?Chain $chain,
        public array $spans,
        public array $problems,
        public array $notes,
    ) {
    }

    /** The same with a note before all others. */
    public function with(Note $note): self
    {
        return new self($this->chain, $this->spans, $this->problems, [$note, ...$this->notes]);
    }
}
