<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Session\Due\Due;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The logbook reports; each can be limited to a period and a course. */
final readonly class ReportController
{
    public function __construct(
        private Reports $reports,
        private DueList $due,
        private Paths $paths,
        private MonthReport $months,
        private GymSettings $gym,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('/api/reports/drilled', methods: 'GET')]
    public function drilled(
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
        #[MapQueryParameter(options: ['regexp' => '/^(last|times|minutes|southpaw|fell)$/'])] string $sort = 'last',
        #[MapQueryParameter(options: ['regexp' => '/^(up|down)$/'])] string $direction = 'up',
        #[MapQueryParameter(options: ['min_range' => 1, 'max_range' => 100_000])] int $page = 1,
    ): JsonResponse {
        $period = $this->period($from, $to);

        return $this->withPeriod(
            $period,
            $this->reports->drilled($period, $course, $sort, $direction, $page, $this->numberings->forUser($user)),
        );
    }

    #[Route('/api/reports/load', methods: 'GET')]
    public function load(
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        $period = $this->period($from, $to);

        return $this->withPeriod($period, $this->reports->load($period, $course));
    }

    #[Route('/api/reports/links', methods: 'GET')]
    public function links(
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        $period = $this->period($from, $to);

        return $this->withPeriod($period, $this->reports->links($period, $course, $this->numberings->forUser($user)));
    }

    #[Route('/api/reports/month', methods: 'GET')]
    public function month(#[CurrentUser] User $user, #[MapQueryParameter] ?string $month = null): JsonResponse
    {
        return new JsonResponse(
            $this->months->compute($month ?? $this->gym->today()->format('Y-m'), $this->numberings->forUser($user)),
        );
    }

    /** Lists what is due in a course, the most overdue first. */
    #[Route('/api/courses/{id<\d{1,9}>}/due', methods: 'GET')]
    public function due(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $today = $this->gym->today()->format('Y-m-d');
        $numbering = $this->numberings->forUser($user);
        $schedule = $this->due->schedule($id);
        $all = $this->due->list($id);
        $soon = \array_slice($all, 0, 200, true);
        $summaries = $this->reports->summaries(array_keys($soon));
        $rows = [];
        foreach ($soon as $combination => $due) {
            if (isset($summaries[$combination]) && null === $summaries[$combination]->archivedAt) {
                $rows[] = self::dueRow(
                    $due,
                    $today,
                    $this->reports->brief($summaries[$combination], $combination, $numbering),
                );
            }
        }

        return new JsonResponse([
            'today' => $today,
            'total' => \count($all),
            'schedule' => ['first' => $schedule->first, 'least' => $schedule->least, 'most' => $schedule->most],
            'due' => $rows,
        ]);
    }

    /** Returns the shortest path of a course to a combination. */
    #[Route('/api/courses/{id<\d{1,9}>}/path', methods: 'GET')]
    #[HeavyWork]
    public function path(int $id, #[MapQueryParameter] int $to, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->paths->find($id, $to, $this->numberings->forUser($user)));
    }

    /**
     * @param array<string, mixed> $combination
     *
     * @return array<string, mixed>
     */
    private static function dueRow(Due $due, string $today, array $combination): array
    {
        return [
            'combination' => $combination,
            'last' => $due->last,
            'times' => $due->times,
            'interval' => $due->interval,
            'day' => $due->day,
            'overdue' => $due->overdue($today),
            'held' => $due->held,
        ];
    }

    private function period(?string $from, ?string $to): Period
    {
        return Period::of($from, $to, $this->gym->today());
    }

    /** @param array<string, mixed> $report */
    private function withPeriod(Period $period, array $report): JsonResponse
    {
        return new JsonResponse(['from' => $period->from, 'to' => $period->to, ...$report]);
    }
}
