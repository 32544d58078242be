<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Periplus\App\Account\User;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The gym's walls: every coach may add and revoke them. */
#[Route('/api/walls')]
final readonly class WallController
{
    public function __construct(private Walls $walls, private Push $push)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(): JsonResponse
    {
        return new JsonResponse(['walls' => $this->walls->all()]);
    }

    #[Route('', methods: 'POST')]
    public function create(
        #[MapRequestPayload(acceptFormat: 'json')] WallRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->walls->create($request, $user), 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    public function update(
        int $id,
        #[MapRequestPayload(acceptFormat: 'json')] WallRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $wall = $this->walls->update($id, $request, $user);
        $this->push->changed($wall->key());

        return new JsonResponse($wall);
    }

    /** Revokes a wall, which goes dark: at once if it is connected, otherwise within twenty seconds. */
    #[Route('/{id<\d{1,9}>}/revoke', methods: 'POST')]
    public function revoke(int $id, #[CurrentUser] User $user): Response
    {
        $this->push->changed($this->walls->revoke($id, $user)->key());

        return new Response(status: 204);
    }
}
