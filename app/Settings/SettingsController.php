<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\Gym;
use Periplus\App\Gym\Gyms;
use Periplus\App\Http\IfMatch;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Versions;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** The gym's settings, and the progress of its setup. */
#[Route('/api/gym')]
final readonly class SettingsController
{
    public function __construct(
        private Gyms $gyms,
        private Versions $versions,
        private EntityManagerInterface $entities,
        private ChangeGym $settings,
        private AuditLog $audit,
    ) {
    }

    #[Route('', methods: 'GET')]
    public function read(): JsonResponse
    {
        return $this->response($this->gyms->get());
    }

    /**
     * Changes name, time zone and start of the week. Planned sessions keep their UTC time, so their local time changes.
     */
    #[Route('', methods: 'PUT')]
    #[IsGranted(Permission::ManageGym->value)]
    public function change(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] GymRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $gym = $this->settings->change(IfMatch::version($http), $request, $user);

        return $this->response($gym);
    }

    #[Route('/training', methods: 'PUT')]
    #[IsGranted(Permission::ManageGym->value)]
    public function train(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] TrainingRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $gym = $this->versions->change(Gym::class, Gym::ID, IfMatch::version($http), Gyms::MISSING, function (
            Gym $gym,
        ) use ($request, $user): void {
            $gym->train($request->training());
            $this->audit->add($user->id(), 'gym.training', t('changed what the gym trains'), 'gym');
        });

        return $this->response($gym);
    }

    /** Ends a step of the setup as done or skipped. */
    #[Route('/setup', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function endStep(#[MapRequestPayload(acceptFormat: 'json')] SetupRequest $request): JsonResponse
    {
        $gym = $this->gyms->get();
        $gym->endSetupStep($request->step, $request->outcome);
        $this->entities->flush();

        return $this->response($gym);
    }

    private function response(Gym $gym): JsonResponse
    {
        return new JsonResponse([
            'version' => $gym->version(),
            'name' => $gym->name(),
            'kind' => $gym->kind()->value,
            'timeZone' => $gym->timeZone()->getName(),
            'timeZones' => \DateTimeZone::listIdentifiers(),
            'firstWeekday' => $gym->firstWeekday(),
            'training' => $gym->training(),
            'setup' => (object) $gym->setup(),
            'isBeingSetUp' => $gym->isBeingSetUp(),
        ]);
    }
}
