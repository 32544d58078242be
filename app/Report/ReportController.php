<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Logbook\DueList;
use Periplus\App\Logbook\LogFilter;
use Periplus\App\Logbook\LogTotals;
use Periplus\App\Logbook\Period;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Session\Due\Due;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The logbook reports; each can be limited to a period and a course. */
final readonly class ReportController
{
    /** Maximum number of combinations that are listed as due. */
    private const MAX_DUE = 200;

    public function __construct(
        private DrilledReports $drilled,
        private LoadReports $load,
        private LinkReports $links,
        private FaultReports $faults,
        private PlannedReports $planned,
        private LogTotals $totals,
        private Briefs $briefs,
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
        return new JsonResponse(
            $this->drilled->compute(
                $this->filter($from, $to, $course),
                $sort,
                $direction,
                $page,
                $this->numberings->forUser($user),
            ),
        );
    }

    #[Route('/api/reports/load', methods: 'GET')]
    public function load(
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        return new JsonResponse($this->load->compute($this->filter($from, $to, $course)));
    }

    #[Route('/api/reports/links', methods: 'GET')]
    public function links(
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        return new JsonResponse(
            $this->links->compute($this->filter($from, $to, $course), $this->numberings->forUser($user)),
        );
    }

    #[Route('/api/reports/planned', methods: 'GET')]
    public function planned(
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        return new JsonResponse(
            $this->planned->compute($this->filter($from, $to, $course), $this->numberings->forUser($user)),
        );
    }

    #[Route('/api/reports/faults', methods: 'GET')]
    public function faults(
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        return new JsonResponse(
            $this->faults->compute($this->filter($from, $to, $course), $this->numberings->forUser($user)),
        );
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
        $schedule = $this->due->schedule($id);
        $all = $this->due->list($id);
        $soon = \array_slice($all, 0, self::MAX_DUE, true);
        $briefs = $this->briefs->read(array_keys($soon), $this->numberings->forUser($user));
        $faults = $this->totals->faultsOf($id, array_map(static fn (Due $due): string => $due->last, $soon));
        $rows = [];
        foreach ($soon as $combination => $due) {
            if (!$briefs[$combination]->archived) {
                $rows[] = new DueCombination($briefs[$combination], $due, $today, $faults[$combination] ?? []);
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

    private function filter(?string $from, ?string $to, ?int $course): LogFilter
    {
        return new LogFilter(Period::of($from, $to, $this->gym->today()), $course);
    }
}
