<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Combination\LineRenderer;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Notation\Numbering;

/** Serializes an entry with the lines of its combinations, so that a coach can tap the link that fell apart. */
final readonly class EntrySerializer
{
    public function __construct(private LineRenderer $lines)
    {
    }

    public function serialize(LogEntry $entry, Numbering $numbering): OpenEntry
    {
        // Under the rules for all limbs everything can be drawn.
        $rules = $entry->course()?->content()->rules ?? 'all-limbs';
        $rows = $fallen = [];
        foreach ($entry->drilled() as $row) {
            if (null !== $row->notation) {
                $rows[$row->chainKey()][] = $row;
            }
        }
        foreach ($entry->fallen() as $link) {
            $fallen[$link->chainKey()][] = $link->link;
        }

        return new OpenEntry($entry->row(), array_map(
            fn (array $ofChain, string $key): DrilledCombination => new DrilledCombination(
                $ofChain,
                $this->lines->ofChain(
                    (string) $ofChain[0]->notation,
                    $ofChain[0]->stance,
                    $rules,
                    $numbering,
                    LineSize::Card,
                ),
                $fallen[$key] ?? [],
            ),
            $rows,
            array_keys($rows),
        ));
    }
}
