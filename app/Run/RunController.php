<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Account\User;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Running sessions: every coach may start and control them. */
#[Route('/api/runs')]
final readonly class RunController
{
    public function __construct(private Runs $runs, private RunControl $control, private RunRecord $record)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(): JsonResponse
    {
        return new JsonResponse([
            'running' => array_map($this->shown(...), $this->control->running()),
            'ended' => array_map($this->shown(...), $this->runs->ended()),
        ]);
    }

    #[Route('', methods: 'POST')]
    #[HeavyWork]
    public function start(
        #[MapRequestPayload(acceptFormat: 'json')] StartRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->shown($this->control->start($request, $user)), 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id): JsonResponse
    {
        return new JsonResponse($this->shown($this->runs->view($id)));
    }

    #[Route('/{id<\d{1,9}>}/commands', methods: 'POST')]
    public function command(
        int $id,
        #[MapRequestPayload(acceptFormat: 'json')] CommandRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->shown($this->control->command($id, $request, $user)));
    }

    /** Shows it on more walls. */
    #[Route('/{id<\d{1,9}>}/walls', methods: 'POST')]
    public function show(int $id, #[MapRequestPayload(acceptFormat: 'json')] ShowRequest $request): JsonResponse
    {
        return new JsonResponse($this->shown($this->control->show($id, $request->walls)));
    }

    /** Deletes an ended session with its record of shown cues; its logbook entry stays. */
    #[Route('/{id<\d{1,9}>}/remove', methods: 'POST')]
    #[IsGranted(Permission::ManageLogbook->value)]
    public function remove(int $id, #[CurrentUser] User $user): Response
    {
        $this->control->remove($id, $user);

        return new Response(status: 204);
    }

    /** Returns what was really shown and done. */
    #[Route('/{id<\d{1,9}>}/record', methods: 'GET')]
    public function record(int $id): JsonResponse
    {
        return new JsonResponse($this->record->read($id));
    }

    private function shown(RunView $run): ShownRun
    {
        return new ShownRun($run, $this->runs->now());
    }
}
