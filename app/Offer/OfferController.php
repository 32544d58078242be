<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Account\User;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What other gyms offer this one: reading, answering, and whose offers are read. */
final readonly class OfferController
{
    public function __construct(
        private OfferReview $review,
        private FollowedGyms $followed,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('/api/offers', methods: 'GET')]
    public function list(
        #[CurrentUser] User $user,
        #[MapQueryParameter] bool $answered = false,
        #[MapQueryParameter] int $page = 1,
    ): JsonResponse {
        return new JsonResponse($this->review->page(
            $answered,
            max(1, min($page, 10_000)),
            $this->numberings->forUser($user),
        ));
    }

    #[Route('/api/offers/{source<(gym|link)-[a-z0-9]{1,30}>}/{kind}/{item<[a-z0-9-]{1,40}>}', methods: 'GET')]
    public function read(string $source, OfferKind $kind, string $item, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->review->read($source, $kind, $item, $this->numberings->forUser($user)));
    }

    /** Makes a proposal of a combination, which the head coach looks at in the review. */
    #[Route('/api/offers/propose', methods: 'POST')]
    public function propose(
        #[MapRequestPayload(acceptFormat: 'json')] OfferRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse(['proposal' => $this->review->propose($request, $user)->id()], 201);
    }

    #[Route('/api/offers/accept', methods: 'POST')]
    #[IsGranted(Permission::DecideProposals->value)]
    public function accept(
        #[MapRequestPayload(acceptFormat: 'json')] OfferRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->review->accept($request, $user);

        return $this->read($request->source, $request->kind, $request->item, $user);
    }

    #[Route('/api/offers/decline', methods: 'POST')]
    #[IsGranted(Permission::DecideProposals->value)]
    public function decline(
        #[MapRequestPayload(acceptFormat: 'json')] OfferRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->review->decline($request, $user);

        return $this->read($request->source, $request->kind, $request->item, $user);
    }

    #[Route('/api/offers/reconsider', methods: 'POST')]
    #[IsGranted(Permission::DecideProposals->value)]
    public function reconsider(
        #[MapRequestPayload(acceptFormat: 'json')] OfferRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $this->review->reconsider($request, $user);

        return $this->read($request->source, $request->kind, $request->item, $user);
    }

    #[Route('/api/followed-gyms', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    #[HeavyWork]
    public function follow(
        #[MapRequestPayload(acceptFormat: 'json')] FollowRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse(['id' => $this->followed->follow($request->address, $user)->id()], 201);
    }

    #[Route('/api/followed-gyms/{id<\d{1,9}>}/read', methods: 'POST')]
    #[HeavyWork]
    public function readAgain(int $id): Response
    {
        $this->followed->readAgain($id);

        return new Response(status: 204);
    }

    #[Route('/api/followed-gyms/{id<\d{1,9}>}', methods: 'DELETE')]
    #[IsGranted(Permission::ManageGym->value)]
    public function unfollow(int $id, #[CurrentUser] User $user): Response
    {
        $this->followed->unfollow($id, $user);

        return new Response(status: 204);
    }
}
