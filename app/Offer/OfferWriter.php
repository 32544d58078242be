<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Course\Course;
use Periplus\App\Course\CourseRequest;
use Periplus\App\Course\Courses;
use Periplus\App\Course\SyllabusWeek;
use Periplus\App\Gym\GymSettings;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\HouseRules\HouseRulesRequest;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Numbering\NumberingRequest;
use Periplus\App\Numbering\NumberRequest;
use Periplus\App\Search\SearchIndex;
use Periplus\App\Store\Invalid;
use Periplus\App\Syllabus\SyllabusFile;
use Periplus\App\Syllabus\SyllabusFiles;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;

use function Periplus\Core\Language\t;

/** Builds the document of this gym's offers from their current content. */
final readonly class OfferWriter
{
    public function __construct(
        private Offerings $offerings,
        private CombinationTable $combinations,
        private SearchIndex $themes,
        private Courses $courses,
        private SyllabusFiles $syllabi,
        private GymNumberings $numberings,
        private GymHouseRules $rules,
        private LineRenderer $lines,
        private GymSettings $gym,
    ) {
    }

    public function write(): OfferDocument
    {
        $courses = array_values(array_filter(
            array_map($this->course(...), $this->offerings->subjects(OfferKind::Course)),
        ));
        $numberings = $this->numberings->all();
        $own = array_filter(
            array_map(
                static fn (string $id): ?Numbering => ($numberings[$id] ?? null)?->numbering,
                $this->offerings->subjects(OfferKind::Numbering),
            ),
        );

        return new OfferDocument(
            OfferDocument::FORMAT,
            gym: $this->gym->name(),
            combinations: $this->combinations($courses),
            courses: array_map(fn (Course $course): OfferedCourse => new OfferedCourse(
                (string) $course->id(),
                self::courseRequest($course),
                $this->syllabus($course),
            ), \array_slice($courses, 0, OfferDocument::MAX_OTHERS)),
            numberings: array_map(
                static fn (Numbering $numbering): OfferedNumbering => new OfferedNumbering(
                    $numbering->id,
                    self::numberingRequest($numbering),
                ),
                \array_slice($own, 0, OfferDocument::MAX_OTHERS),
            ),
            houseRules: array_map(
                fn (string $set): OfferedHouseRules => new OfferedHouseRules(
                    $set,
                    self::rulesRequest($this->rules->named($set)),
                ),
                $this->offerings->subjects(OfferKind::HouseRules),
            ),
        );
    }

    /**
     * Returns what coaches call something that can be offered.
     *
     * @throws Invalid when there is no such thing
     */
    public function name(OfferKind $kind, string $subject): string
    {
        return $this->nameOrNull($kind, $subject)
            ?? throw Invalid::field('subject', t('There is nothing like this here that could be offered.'));
    }

    /** @return string|null null when it is archived or gone */
    public function nameOrNull(OfferKind $kind, string $subject): ?string
    {
        return match ($kind) {
            OfferKind::Combination => ($this->combinations->inUse([(int) $subject])[0] ?? null)?->content->name,
            OfferKind::Theme => isset($this->themes->themes()[$subject]) ? $subject : null,
            OfferKind::Course => $this->course($subject)?->name(),
            // Built-in ones are everywhere.
            OfferKind::Numbering => isset(Numbering::builtIn()[$subject])
                ? null
                : ($this->numberings->all()[$subject] ?? null)?->numbering->name,
            OfferKind::HouseRules => \in_array($subject, BuiltInHouseRules::ids(), true)
                ? $this->rules->named($subject)->name
                : null,
        };
    }

    /**
     * @param list<Course> $courses that are offered
     *
     * @return list<OfferedCombination> by name
     */
    private function combinations(array $courses): array
    {
        $ids = array_map(intval(...), $this->offerings->subjects(OfferKind::Combination));
        foreach ($this->offerings->subjects(OfferKind::Theme) as $theme) {
            $ids = [...$ids, ...$this->themes->having($theme)];
        }
        foreach ($courses as $course) {
            $weeks = $course->syllabus()->weeks;
            $taught = array_map(static fn (SyllabusWeek $week): array => $week->combinations, $weeks);
            $ids = array_merge($ids, ...$taught);
        }
        $numbering = $this->numberings->named($this->numberings->ofGym());

        return array_map(
            fn (CombinationSummary $row): OfferedCombination => $this->combination($row, $numbering),
            \array_slice(
                $this->combinations->inUse(array_values(array_unique($ids))),
                0,
                OfferDocument::MAX_COMBINATIONS,
            ),
        );
    }

    private function combination(CombinationSummary $row, Numbering $numbering): OfferedCombination
    {
        $content = $row->content;

        return new OfferedCombination(
            item: (string) $row->id,
            name: $content->name,
            chain: $content->notation,
            stance: $content->stance,
            rules: $content->rules,
            themes: $content->themes,
            level: self::chosenLevel($content),
            note: $content->note,
            text: $this->lines->text($content->notation, $content->stance, $numbering),
            verdict: $row->verdict,
        );
    }

    private static function chosenLevel(CombinationContent $content): ?int
    {
        return false === $content->levelChosen ? null : $content->level;
    }

    private function course(string $id): ?Course
    {
        $course = $this->courses->find((int) $id);

        return null === $course || $course->isArchived() ? null : $course;
    }

    /** Where and when a course trains is its own matter. */
    private static function courseRequest(Course $course): CourseRequest
    {
        $content = $course->content();

        return new CourseRequest(
            name: $course->name(),
            rules: $content->rules,
            group: $content->group,
            medium: $content->medium,
            levels: $content->levels,
            stances: $content->stances,
            minutes: $content->minutes,
            work: $content->work,
            longestWork: $content->longestWork,
            workStep: $content->workStep,
            rests: $content->rests,
            note: $content->note,
        );
    }

    private function syllabus(Course $course): SyllabusFile
    {
        $file = $this->syllabi->write($course);

        return new SyllabusFile($file->format, $file->version, $file->name, null, $file->weeks);
    }

    private static function numberingRequest(Numbering $numbering): NumberingRequest
    {
        $content = $numbering->content();

        return new NumberingRequest(
            $content['name'],
            $content['boundTo'],
            $content['about'],
            array_map(static fn (array $number): NumberRequest => new NumberRequest(
                $number['number'],
                $number['family'],
                $number['position'],
                $number['target'] ?? null,
                $number['name'] ?? null,
            ), $content['numbers']),
        );
    }

    private static function rulesRequest(HouseRules $rules): HouseRulesRequest
    {
        $row = $rules->jsonSerialize();

        return new HouseRulesRequest(
            $rules->schools,
            $row['severities'],
            $row['thresholds'],
            $row['calibration'] ?? [],
        );
    }
}
