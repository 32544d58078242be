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

    /** @return array<string, mixed> */
    public function serialize(LogEntry $entry, Numbering $numbering): array
    {
        // Under the rules for all limbs everything can be drawn.
        $rules = $entry->course()?->content()->rules ?? 'all-limbs';
        $combinations = [];
        foreach ($entry->drilled() as $row) {
            if (null === $row->notation) {
                continue;
            }
            $key = $row->chainKey();
            $combinations[$key] ??= [
                'id' => $row->combination,
                'name' => $row->name,
                'notation' => $row->notation,
                'stance' => $row->stance,
                'ms' => 0,
                'otherMs' => 0,
                'repetitions' => 0.0,
            ];
            $combinations[$key]['ms'] += $row->ms;
            $combinations[$key]['otherMs'] += $row->otherMs;
            $combinations[$key]['repetitions'] += $row->repetitions;
        }
        $fallen = [];
        foreach ($entry->fallen() as $link) {
            $fallen[$link->chainKey()][] = $link->link;
        }

        return [
            ...$entry->row()->jsonSerialize(),
            'drilled' => array_map(function (array $one, string $key) use ($rules, $numbering, $fallen): array {
                $drawn = $this->lines->ofChain($one['notation'], $one['stance'], $rules, $numbering, LineSize::Card);

                return [
                    ...$one,
                    'repetitions' => round($one['repetitions'], 1),
                    'text' => $drawn->text,
                    'line' => $drawn->line,
                    'fallen' => $fallen[$key] ?? [],
                ];
            },
                $combinations,
                array_keys($combinations),
            ),
        ];
    }
}
