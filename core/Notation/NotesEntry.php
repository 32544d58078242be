<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/** A part of a page of notes: a chain, a line that is meant as one, or a remark. */
final readonly class NotesEntry
{
    /**
     * @param int $line in the page, from 1
     * @param string $text the line or sentence without its bullet
     * @param string $name before its colon, or the heading over it alone; empty where there is none
     * @param string $heading over it and others; empty where there is none
     */
    public function __construct(
        public int $line,
        public string $text,
        public NotesKind $kind,
        public string $name = '',
        public string $heading = '',
    ) {
    }
}
