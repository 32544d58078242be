<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\User;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Saved searches: a coach's own, and those shared with the gym. */
#[Route('/api/views')]
final readonly class SavedViewController
{
    public function __construct(private SavedViews $views)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(#[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(['views' => $this->views->for($user)]);
    }

    /** Saves a search; one with the same name is replaced. */
    #[Route('', methods: 'POST')]
    public function save(
        #[MapRequestPayload(acceptFormat: 'json')] SavedViewRequest $request,
        #[CurrentUser] User $user,
    ): Response {
        $this->views->save($request, $user);

        return new Response(status: 204);
    }

    /** Deletes one's own search; the head coach may also delete shared ones. */
    #[Route('/{id<\d{1,9}>}', methods: 'DELETE')]
    public function remove(int $id, #[CurrentUser] User $user): Response
    {
        $this->views->remove($id, $user);

        return new Response(status: 204);
    }
}
