<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Periplus\App\Account\User;
use Periplus\App\Http\IfMatch;
use Periplus\App\Security\Permission;
use Periplus\Core\Session\Advice\Fault;
use Periplus\Core\Session\Advice\Reminder;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Reads and changes the gym's reminders, exercises and faults. */
#[Route('/api/advice')]
final readonly class AdviceController
{
    public function __construct(private GymAdvice $advice)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(): JsonResponse
    {
        $advice = $this->advice->advice();

        return new JsonResponse([
            'reminders' => $advice->reminders,
            'remindersVersion' => $this->advice->version('reminders'),
            'reminderTopics' => Reminder::TOPICS,
            'exercises' => array_values($advice->exercises),
            'exercisesVersion' => $this->advice->version('exercises'),
            'faults' => $advice->faults,
            'faultsVersion' => $this->advice->version('faults'),
            'faultTopics' => Fault::TOPICS,
        ]);
    }

    #[Route('/reminders', methods: 'PUT')]
    #[IsGranted(Permission::EditAdvice->value)]
    public function reminders(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] RemindersRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->advice->store('reminders', IfMatch::version($http), $request->rows(), $user);

        return $this->list();
    }

    #[Route('/exercises', methods: 'PUT')]
    #[IsGranted(Permission::EditAdvice->value)]
    public function exercises(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] ExercisesRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->advice->store('exercises', IfMatch::version($http), $request->rows(), $user);

        return $this->list();
    }

    #[Route('/faults', methods: 'PUT')]
    #[IsGranted(Permission::EditAdvice->value)]
    public function faults(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] FaultsRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->advice->store('faults', IfMatch::version($http), $request->rows(), $user);

        return $this->list();
    }
}
