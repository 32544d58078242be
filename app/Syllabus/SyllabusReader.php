<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Course\SyllabusWeek;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Logbook\DueList;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\LogTotals;
use Periplus\App\Logbook\Outcome;
use Periplus\App\Logbook\Period;
use Periplus\App\Report\Briefs;
use Periplus\App\Report\CombinationBrief;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;

/** Reads the syllabus of a course beside what its logbook says. */
final readonly class SyllabusReader
{
    /** How far back the logbook is read. */
    private const PAST = '-10 years';

    public function __construct(
        private CombinationTable $combinations,
        private Reader $reader,
        private Briefs $briefs,
        private DueList $due,
        private LogTotals $totals,
        private GymSettings $gym,
    ) {
    }

    public function read(Course $course, Numbering $numbering): SyllabusDocument
    {
        $syllabus = $course->syllabus();
        $ids = array_values(array_unique(array_merge(
            ...array_map(static fn (SyllabusWeek $week): array => $week->combinations, $syllabus->weeks),
        )));
        $briefs = $this->briefs->read($ids, $numbering);
        $due = array_intersect_key($this->due->list($course->id()), array_flip($ids));
        $start = $syllabus->mondayOf(0);
        [$now, $past] = $this->outcomes($ids, $course->id(), $start);
        $chains = $this->chainsOf($ids);
        $weeks = [];
        $before = [];
        foreach ($syllabus->weeks as $number => $week) {
            $combinations = [];
            foreach ($week->combinations as $id) {
                // What was taught in an earlier week is repeated: nothing in it is new.
                $chain = isset($before[$id]) ? null : $chains[$id] ?? null;
                $one = $due[$id] ?? null;
                $combinations[] = new TaughtCombination(
                    combination: $briefs[$id],
                    buildsOn: self::buildsOn($chain, $before, $briefs),
                    new: self::newLinks($chain, $before),
                    now: $now[$id] ?? new Outcome(0, 0),
                    before: $past[$id] ?? new Outcome(0, 0),
                    last: $one?->last,
                    held: $one?->held,
                );
                if (null !== $chain) {
                    $before[$id] = $chain;
                }
            }
            $weeks[] = new TaughtWeek($week->theme, $week->note, $syllabus->mondayOf($number), $combinations);
        }

        return new SyllabusDocument(
            course: $course->id(),
            name: $course->name(),
            version: $course->version(),
            startsOn: $syllabus->startsOn,
            now: $syllabus->weekOn($this->gym->today()->format('Y-m-d')),
            weeks: $weeks,
        );
    }

    /**
     * Returns how combinations went since the syllabus began, and before.
     *
     * @param list<int> $ids
     * @param string|null $start the day on which it begins; null for none, when nothing was before
     *
     * @return array{array<int, Outcome>, array<int, Outcome>} by the id of the combination
     */
    private function outcomes(array $ids, int $course, ?string $start): array
    {
        $today = $this->gym->today();
        $day = $today->format('Y-m-d');
        $longAgo = $today->modify(self::PAST)->format('Y-m-d');
        $during = fn (string $from, string $to): array => $from > $to
            ? []
            : $this->totals->outcomes($ids, new LogFilter(Period::of($from, $to, $today), $course));
        $eve = null === $start ? null : (new \DateTimeImmutable($start))->modify('-1 day')->format('Y-m-d');

        return [
            $during($start ?? $longAgo, $day),
            null === $eve ? [] : $during($longAgo, min($eve, $day)),
        ];
    }

    /**
     * @param list<int> $ids
     *
     * @return array<int, Chain>
     */
    private function chainsOf(array $ids): array
    {
        $chains = [];
        foreach ($this->combinations->summaries($ids) as $row) {
            $chain = $this->reader->readStored($row->content->notation, $row->content->stance)?->chain;
            if (null !== $chain) {
                $chains[$row->id] = $chain;
            }
        }

        return $chains;
    }

    /**
     * Returns the name of the earlier combination that shares most links with a chain, the nearest of several; null
     * when none does.
     *
     * @param array<int, Chain> $before
     * @param array<int, CombinationBrief> $briefs
     */
    private static function buildsOn(?Chain $chain, array $before, array $briefs): ?string
    {
        [$best, $most] = [null, 0];
        $links = $chain?->links() ?? [];
        foreach ($before as $id => $earlier) {
            $shared = \count(array_intersect($links, $earlier->links()));
            if ($shared > 0 && $shared >= $most) {
                [$best, $most] = [$briefs[$id]->name, $shared];
            }
        }

        return $best;
    }

    /**
     * @param array<int, Chain> $before
     *
     * @return list<string> such as "cross to lead hook"
     */
    private static function newLinks(?Chain $chain, array $before): array
    {
        if (null === $chain) {
            return [];
        }
        $known = array_merge([], ...array_map(static fn (Chain $one): array => $one->links(), array_values($before)));
        $words = [];
        for ($place = 1; $place < \count($chain->items); ++$place) {
            [$from, $to] = [$chain->items[$place - 1], $chain->items[$place]];
            if (!\in_array($from->key().' '.$to->key(), $known, true)) {
                $words[] = $from->name().' → '.$to->name();
            }
        }

        return array_values(array_unique($words));
    }
}
