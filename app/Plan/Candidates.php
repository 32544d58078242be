<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Gym\GymSettings;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Compose\Aim;
use Periplus\Core\Session\Compose\AimKind;
use Periplus\Core\Session\Compose\Candidate;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Technique\Limb;

/** Finds combinations that may be chosen for a session of a course, with how often it has had them. */
final readonly class Candidates
{
    /** Number of past sessions of the course that are considered. */
    public const MAX_PAST_SESSIONS = 60;
    /** Maximum number of combinations taken from a large library, at random by the seed. */
    private const MAX_COMBINATIONS = 700;

    public function __construct(
        private CombinationTable $combinations,
        private LineRenderer $lines,
        private Reader $reader,
        private CourseRecord $record,
        private GymSettings $gym,
    ) {
    }

    /**
     * @param array<int, CourseUse> $history see {@see history}
     *
     * @return list<Candidate>
     */
    public function find(
        HouseRules $rules,
        int $level,
        Aim $aim,
        int $seed,
        Numbering $numbering,
        array $history,
    ): array {
        $not = array_map(
            static fn (Limb $limb): string => $limb->value,
            array_filter(Limb::cases(), static fn (Limb $limb): bool => !\in_array($limb, $rules->allows, true)),
        );
        $weapon = AimKind::Weapon === $aim->kind ? $aim->weapon?->value : null;
        // Combinations that the course has had are always included, so that the least drilled one is not left to
        // chance.
        $rows = [
            ...$this->combinations->summaries([...$aim->combinations, ...array_keys($history)]),
            ...$this->combinations->sample(
                $level,
                array_values($not),
                $weapon,
                AimKind::Theme === $aim->kind ? $aim->title() : null,
                $seed,
                self::MAX_COMBINATIONS,
            ),
        ];
        $candidates = [];
        foreach ($rows as $row) {
            if (null === $row->archivedAt && !isset($candidates[$row->id])) {
                $candidates[$row->id] = $this->candidate($row, $numbering, $history[$row->id] ?? null);
            }
        }

        return array_values(array_filter($candidates, static fn (?Candidate $candidate): bool => null !== $candidate));
    }

    /**
     * From the logbook; for a course without entries from its plans.
     *
     * @param list<Plan> $past the newest first
     *
     * @return array<int, CourseUse> by the id of the combination
     */
    public function history(int $course, array $past): array
    {
        $history = $this->record->drilled($course);
        if ([] !== $history) {
            return $history;
        }
        foreach ($past as $plan) {
            $ids = array_unique(array_filter(
                array_column((new WrittenPlan($plan->content()))->combinations(), 'id'),
                \is_int(...),
            ));
            foreach ($ids as $id) {
                $later = $history[$id] ?? null;
                $history[$id] = new CourseUse(
                    1 + ($later->times ?? 0),
                    $later->last ?? (string) $plan->startsAt()?->setTimezone($this->gym->timeZone())->format('Y-m-d'),
                );
            }
        }

        return $history;
    }

    /**
     * @param list<Plan> $past
     *
     * @return list<string> the links that the course has had
     */
    public function known(int $course, array $past, PlanReader $reader): array
    {
        $drilled = $this->record->links($course);
        if ([] !== $drilled) {
            return $drilled;
        }
        $links = [];
        foreach ($past as $plan) {
            foreach ($reader->read($plan->content())->plan->combinations() as $combination) {
                $links += array_fill_keys($combination->inStance->chain->links(), true);
            }
        }

        return array_keys($links);
    }

    private function candidate(CombinationSummary $row, Numbering $numbering, ?CourseUse $use): ?Candidate
    {
        $content = $row->content;
        $chain = $this->reader->readStored($content->notation, $content->stance);

        return null === $chain ? null : new Candidate(
            id: $row->id,
            version: $row->version,
            name: $content->name,
            text: $this->lines->text($content->notation, $content->stance, $numbering),
            inStance: $chain,
            level: $content->level,
            themes: $content->themes,
            times: $use->times ?? 0,
            last: $use?->last,
            overdue: $use?->overdue,
        );
    }
}
