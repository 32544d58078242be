<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\User;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Plan\Plans;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Says what a planned session puts into the logbook when it is logged as planned. */
final readonly class PlannedWorkController
{
    public function __construct(
        private Plans $plans,
        private LogEntries $entries,
        private DrilledRows $rows,
        private LineRenderer $lines,
        private GymNumberings $numberings,
        private GymSettings $gym,
    ) {
    }

    #[Route('/api/logbook/planned/{id<\d{1,9}>}', methods: 'GET')]
    public function __invoke(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $planned = $this->plans->get($id);
        $work = $this->rows->asPlanned($planned->content());
        $numbering = $this->numberings->forUser($user);
        $rows = [];
        foreach ($this->rows->rows($work->drilled) as $row) {
            if (null !== $row->notation) {
                $rows[$row->chainKey()][] = $row;
            }
        }

        return new JsonResponse([
            'plan' => $id,
            'name' => $planned->name(),
            'course' => $planned->course()?->id(),
            'day' => $planned->startsAt()?->setTimezone($this->gym->timeZone())->format('Y-m-d'),
            'workMs' => $work->workMs,
            'entry' => $this->entries->ofPlan($id)?->id(),
            'drilled' => array_map(
                fn (array $ofChain): PlannedWork => new PlannedWork(
                    $ofChain,
                    $this->lines->text((string) $ofChain[0]->notation, $ofChain[0]->stance, $numbering),
                ),
                array_values($rows),
            ),
        ]);
    }
}
