<?php

declare(strict_types=1);

namespace Periplus\App\Settings;

use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\ApiProblem;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Settings of the gym itself. */
#[Route('/api/gym')]
final readonly class SettingsController
{
    public function __construct(private GymSettings $gym, private AuditLog $audit)
    {
    }

    #[Route('', methods: 'GET')]
    public function read(): JsonResponse
    {
        return new JsonResponse(['name' => $this->gym->name(), 'timeZone' => $this->gym->timeZone()->getName(), 'timeZones' => \DateTimeZone::listIdentifiers()]);
    }

    /** All times of the product are shown in it. What was planned keeps its moment, so that the clock it is shown at changes. */
    #[Route('/time-zone', methods: 'PUT')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function useTimeZone(#[MapRequestPayload(acceptFormat: 'json')] TimeZoneRequest $request, #[CurrentUser] User $user): Response
    {
        if (!\in_array($request->timeZone, \DateTimeZone::listIdentifiers(), true)) {
            throw new ApiProblem(422, 'invalid', 'There is no such time zone. Choose one of the list, such as Europe/Lisbon.', ['violations' => [['field' => 'timeZone', 'message' => 'There is no such time zone.']]]);
        }
        $this->gym->useTimeZone($request->timeZone);
        $this->audit->add($user->id(), 'gym.time-zone', \sprintf('set the time zone of the gym to %s', $request->timeZone), 'gym');

        return new Response(status: 204);
    }
}
