<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\User;
use Periplus\App\Course\Course;
use Periplus\App\Plan\Plan;
use Periplus\Core\Session\Log\Attendance;

/** The content of a logbook entry. */
final readonly class EntryDraft
{
    /**
     * @param string $day such as 2026-11-26
     * @param User|null $coach who coached; null when there is no coach of that name
     * @param int|null $effort how hard it felt, 0 to 10
     * @param Plan|null $plan the planned session that took place
     * @param bool $isChecked whether a coach has looked at it
     * @param list<DrilledRow> $drilled
     * @param list<FallenLink> $fallen
     */
    public function __construct(
        public ?Course $course,
        public string $name,
        public string $day,
        public int $lengthMs,
        public int $workMs,
        public ?User $coach,
        public string $coachName,
        public Attendance $attendance = new Attendance(null, null, []),
        public ?int $effort = null,
        public string $note = '',
        public bool $isChecked = true,
        public array $drilled = [],
        public array $fallen = [],
        public ?Plan $plan = null,
    ) {
    }
}
