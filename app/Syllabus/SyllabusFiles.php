<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Course\Course;
use Periplus\App\Course\SyllabusWeek;
use Periplus\App\Report\Briefs;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;

/** Writes a syllabus as a file, and reads one with the library of this gym. */
final readonly class SyllabusFiles
{
    public function __construct(
        private CombinationTable $combinations,
        private Reader $reader,
        private Briefs $briefs,
    ) {
    }

    public function write(Course $course): SyllabusFile
    {
        $syllabus = $course->syllabus();
        $ids = array_merge(
            ...array_map(static fn (SyllabusWeek $week): array => $week->combinations, $syllabus->weeks),
        );
        /** @var array<int, CombinationSummary> $known */
        $known = array_column($this->combinations->summaries(array_values(array_unique($ids))), null, 'id');

        return new SyllabusFile(
            SyllabusFile::FORMAT,
            name: $course->name(),
            startsOn: $syllabus->startsOn,
            weeks: array_map(
                static fn (SyllabusWeek $week): FileWeek => new FileWeek(
                    $week->theme,
                    $week->note,
                    array_map(
                        static fn (int $id): FileCombination => new FileCombination(
                            $known[$id]->content->name,
                            $known[$id]->content->notation,
                            $known[$id]->content->stance,
                        ),
                        $week->combinations,
                    ),
                ),
                $syllabus->weeks,
            ),
        );
    }

    public function read(SyllabusFile $file, Numbering $numbering): ReadSyllabus
    {
        $fingerprints = [];
        foreach ($file->weeks as $week) {
            foreach ($week->combinations as $one) {
                $chain = $this->reader->readStored($one->chain, $one->stance)?->chain;
                if (null !== $chain) {
                    $fingerprints[self::key($one)] = Fingerprint::of($chain)->withEffort;
                }
            }
        }
        $found = $this->combinations->withChains(array_values(array_unique($fingerprints)));
        $ids = [];
        foreach ($fingerprints as $key => $fingerprint) {
            if (isset($found[$fingerprint])) {
                $ids[$key] = $found[$fingerprint][0]->id;
            }
        }
        $briefs = $this->briefs->read(array_values(array_unique($ids)), $numbering);
        $weeks = $missing = [];
        foreach ($file->weeks as $week) {
            $here = [];
            foreach ($week->combinations as $one) {
                $id = $ids[self::key($one)] ?? null;
                if (null === $id) {
                    $missing[self::key($one)] = $one->name.': '.$one->chain;
                } else {
                    $here[$id] = $briefs[$id];
                }
            }
            $weeks[] = new ReadWeek($week->theme, $week->note, array_values($here));
        }

        return new ReadSyllabus($file->startsOn, $weeks, array_values($missing));
    }

    private static function key(FileCombination $one): string
    {
        return $one->stance->value.' '.$one->chain;
    }
}
