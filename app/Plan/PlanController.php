<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\IfMatch;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\Core\Session\Plan\CompletePlan;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

use function Periplus\Core\Language\t;

/** Session plans: every coach may write them. */
#[Route('/api/plans')]
final readonly class PlanController
{
    public function __construct(
        private Plans $plans,
        private Planning $planning,
        private PlanCheck $check,
        private PlanPresences $presence,
        private GymSettings $gym,
    ) {
    }

    /** Lists the plans of a range of days with those without a day, or the templates. */
    #[Route('', methods: 'GET')]
    public function list(
        #[MapQueryParameter] ?string $from = null,
        #[MapQueryParameter] ?string $to = null,
        #[MapQueryParameter] ?int $course = null,
    ): JsonResponse {
        $zone = $this->gym->timeZone();
        $row = static fn (PlanRow $plan): ShownPlan => new ShownPlan($plan, $zone);

        return new JsonResponse([
            'plans' => array_map($row, $this->plans->between($from, $to, $course)),
            'undated' => array_map($row, $this->plans->undated()),
            'templates' => array_map($row, $this->plans->templates()),
        ]);
    }

    #[Route('', methods: 'POST')]
    public function create(
        #[MapRequestPayload(acceptFormat: 'json')] PlanRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->planning->create($request, $user), 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id): JsonResponse
    {
        return $this->answer($this->plans->get($id));
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    public function update(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] PlanRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->planning->update($id, IfMatch::version($http), $request, $user));
    }

    #[Route('/{id<\d{1,9}>}/archive', methods: 'POST')]
    public function archive(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->planning->archive($id, IfMatch::version($http), $user));
    }

    #[Route('/{id<\d{1,9}>}/restore', methods: 'POST')]
    public function restore(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->planning->restore($id, IfMatch::version($http), $user));
    }

    #[Route('/{id<\d{1,9}>}/versions', methods: 'GET')]
    public function versions(int $id): JsonResponse
    {
        return new JsonResponse(['versions' => $this->plans->versions($id)]);
    }

    #[Route('/{id<\d{1,9}>}/versions/{version<\d{1,9}>}/bring-back', methods: 'POST')]
    public function restoreVersion(int $id, int $version, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->planning->restoreVersion($id, IfMatch::version($http), $version, $user));
    }

    /** Reports that a coach has the plan open, and returns who else has, and whether it was saved meanwhile. */
    #[Route('/{id<\d{1,9}>}/presence', methods: 'POST')]
    public function presence(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $version = $this->plans->version($id) ?? throw new NotFound(Plans::MISSING);

        return new JsonResponse(['version' => $version, 'others' => $this->presence->seen($id, $user)]);
    }

    /** Checks a plan; stores nothing. */
    #[Route('/check', methods: 'POST')]
    #[HeavyWork]
    public function check(#[MapRequestPayload(acceptFormat: 'json')] PlanContentRequest $request): JsonResponse
    {
        return new JsonResponse($this->check->document($request->content));
    }

    /** Returns the plan with less of what a warning is about; stores nothing. */
    #[Route('/fix', methods: 'POST')]
    #[HeavyWork]
    public function fix(#[MapRequestPayload(acceptFormat: 'json')] PlanContentRequest $request): JsonResponse
    {
        $fixed = $this->check->serializer()->fixed(
            $request->content,
            (string) $request->warning,
        ) ?? throw Invalid::field('warning', t('There is no such warning.'));

        return new JsonResponse(['content' => new CompletePlan($fixed)]);
    }

    private function answer(Plan $plan, int $status = 200): JsonResponse
    {
        $response = new JsonResponse(new OpenPlan($plan, $this->gym->timeZone()), $status);
        $response->setEtag((string) $plan->version());

        return $response;
    }
}
