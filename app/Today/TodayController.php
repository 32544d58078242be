<?php

declare(strict_types=1);

namespace Periplus\App\Today;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Logbook\DueList;
use Periplus\App\Logbook\LogEntries;
use Periplus\App\Plan\PlanRow;
use Periplus\App\Plan\Plans;
use Periplus\App\Plan\ShownPlan;
use Periplus\App\Review\Proposals;
use Periplus\App\RulePreview\RulePreviews;
use Periplus\Core\Session\Due\Due;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Says what a coach looks at first: today's sessions, what is due for them, what waits and what was not logged. */
final readonly class TodayController
{
    /** How far back planned sessions are looked for that were not logged. */
    private const LOOK_BACK_DAYS = 14;

    public function __construct(
        private Plans $plans,
        private LogEntries $entries,
        private DueList $due,
        private Proposals $proposals,
        private GymSettings $gym,
        private RulePreviews $previews,
    ) {
    }

    #[Route('/api/today', methods: 'GET')]
    public function __invoke(#[CurrentUser] User $user): JsonResponse
    {
        $now = $this->gym->today();
        $today = $now->format('Y-m-d');
        $plans = $this->plans->between($now->modify('-'.self::LOOK_BACK_DAYS.' days')->format('Y-m-d'), $today);
        $over = array_values(array_filter($plans, static fn (PlanRow $plan): bool => self::endsBefore($plan, $now)));
        $logged = $this->entries->logged($over, $now->getTimezone());
        $coming = array_values(array_filter(
            $plans,
            static fn (PlanRow $plan): bool => !self::endsBefore($plan, $now)
                && $plan->startsAt?->setTimezone($now->getTimezone())->format('Y-m-d') === $today,
        ));
        $waiting = $this->proposals->waiting($user->id());
        $shown = static fn (PlanRow $plan): ShownPlan => new ShownPlan($plan, $now->getTimezone());

        return new JsonResponse([
            'day' => $today,
            'sessions' => array_map($shown, $coming),
            'due' => $this->dueFor($coming, $today),
            'unlogged' => array_map($shown, array_values(array_filter(
                $over,
                static fn (PlanRow $plan): bool => !\in_array($plan->id, $logged, true),
            ))),
            'proposals' => $waiting->open,
            'returned' => $waiting->returned,
            'verdictChanges' => $this->previews->waiting(),
        ]);
    }

    private static function endsBefore(PlanRow $plan, \DateTimeImmutable $moment): bool
    {
        $seconds = intdiv($plan->lengthMs, 1000);

        return null !== $plan->startsAt && $plan->startsAt->modify("+$seconds seconds") < $moment;
    }

    /**
     * @param list<PlanRow> $sessions
     *
     * @return list<DueForCourse> the courses of the sessions in which something is due
     */
    private function dueFor(array $sessions, string $today): array
    {
        $due = [];
        foreach ($sessions as $session) {
            if (null !== $session->course && !isset($due[$session->course])) {
                $due[$session->course] = new DueForCourse(
                    $session->course,
                    (string) $session->courseName,
                    \count(array_filter(
                        $this->due->list($session->course),
                        static fn (Due $one): bool => $one->day <= $today,
                    )),
                );
            }
        }

        return array_values(array_filter($due, static fn (DueForCourse $one): bool => $one->combinations > 0));
    }
}
