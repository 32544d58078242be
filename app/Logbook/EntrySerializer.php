<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Combination\LineRenderer;
use Periplus\App\Course\Courses;
use Periplus\App\Http\ApiProblem;
use Periplus\Core\Drawing\LineSize;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Technique\Stance;

/** An entry with the lines of its combinations, so that the link that fell apart can be touched. */
final readonly class EntrySerializer
{
    public function __construct(private LineRenderer $lines, private Courses $courses)
    {
    }

    /** @return array<string, mixed> */
    public function of(LogEntry $entry, Numbering $numbering): array
    {
        $rules = 'all-limbs';
        try {
            $rules = null === $entry->course ? $rules : $this->courses->get($entry->course['id'])->content['rules'];
        } catch (ApiProblem) {
            // Its course is gone: under all limbs everything can be drawn.
        }
        $combinations = [];
        foreach ($entry->drilled as $row) {
            if (null === $row['notation']) {
                continue;
            }
            $key = $row['stance'].' '.$row['notation'];
            $combinations[$key] ??= ['id' => $row['combination_id'], 'name' => $row['name'], 'notation' => $row['notation'], 'stance' => $row['stance'], 'ms' => 0, 'otherMs' => 0, 'repetitions' => 0.0];
            $combinations[$key]['ms'] += $row['ms'];
            $combinations[$key]['otherMs'] += $row['other_ms'];
            $combinations[$key]['repetitions'] += $row['repetitions'];
        }
        $fallen = [];
        foreach ($entry->fallen as $link) {
            $fallen[$link['stance'].' '.$link['notation']][] = $link['link'];
        }

        return [
            ...$entry->row(),
            'drilled' => array_map(function (array $one, string $key) use ($rules, $numbering, $fallen): array {
                $drawn = $this->lines->ofChain($one['notation'], Stance::from($one['stance']), $rules, $numbering, LineSize::Card);

                return [...$one, 'repetitions' => round($one['repetitions'], 1), 'text' => $drawn['text'], 'line' => $drawn['line'], 'fallen' => $fallen[$key] ?? []];
            }, $combinations, array_keys($combinations)),
        ];
    }
}
