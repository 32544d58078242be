<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Course\Course;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Compose\Aim;
use Periplus\Core\Session\Compose\Composer;
use Periplus\Core\Session\Compose\Composition;
use Periplus\Core\Session\Compose\Wishes;
use Periplus\Core\Session\Format\Progression;

use function Periplus\Core\Language\t;

/** Generates a session: passes the requirements, the course's history and the library to the core. */
final readonly class SessionComposer
{
    public function __construct(
        private PlanCheck $check,
        private Plans $plans,
        private Courses $courses,
        private Candidates $candidates,
        private GymHouseRules $rules,
        private GymSettings $gym,
    ) {
    }

    /**
     * @param Numbering $numbering in which its chains are written
     *
     * @throws Refused when there is no such course, theme or weapon
     */
    public function compose(ComposeRequest $request, Numbering $numbering): Composition
    {
        $course = $this->courses->get($request->course);
        $content = $course->content();
        try {
            $aim = 'syllabus' === $request->aim
                ? $this->week($course, $request->value)
                : Aim::of($request->aim, $request->value);
        } catch (\DomainException $unknown) {
            throw Invalid::field('value', $unknown->getMessage());
        }
        $past = $this->plans->past($course->id(), Candidates::MAX_PAST_SESSIONS);
        // Each session that the course has had is a step of its progression.
        $step = (new Progression(
            $content->work,
            $content->longestWork,
            $content->workStep,
            $content->rests,
        ))->week(\count($past));
        $rules = $this->rules->named($content->rules);
        $reader = $this->check->reader();
        $wishes = new Wishes(
            course: $course->name(),
            minutes: $request->minutes ?? $content->minutes,
            aim: $aim,
            seed: $request->seed,
            rules: $rules,
            group: $content->group,
            medium: $content->medium,
            levels: $content->levels,
            numbering: $numbering->id,
            work: $step->seconds,
            rest: $step->rest,
            known: $this->candidates->known($course->id(), $past, $reader),
            locked: $request->locked ?? [],
        );

        return Composer::compose(
            $wishes,
            $this->candidates->find(
                $rules,
                $content->hardestLevel(),
                $aim,
                $request->seed,
                $numbering,
                $this->candidates->history($course->id(), $past),
            ),
            $reader,
        );
    }

    /**
     * Returns the aim of a week of the course's syllabus.
     *
     * @param string|null $week its number from 1; the week of today when null
     *
     * @throws \DomainException when there is nothing in it
     */
    private function week(Course $course, ?string $week): Aim
    {
        $syllabus = $course->syllabus();
        $place = null === $week ? $syllabus->weekOn($this->gym->today()->format('Y-m-d')) : (int) $week - 1;
        $taught = $syllabus->weeks[$place ?? -1] ?? null;
        if (null === $taught || [] === $taught->combinations) {
            throw new \DomainException(
                t('The syllabus of this course has no combinations for that week. Write them into it first.'),
            );
        }
        $number = 1 + (int) $place;

        return Aim::ofWeek(
            '' === $taught->theme
                ? t('week {number}', number: $number)
                : t('week {number}, {theme}', number: $number, theme: $taught->theme),
            $taught->combinations,
        );
    }
}
