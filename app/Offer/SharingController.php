<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Account\User;
use Periplus\App\Combination\Combinations;
use Periplus\App\Directory\GroupDocuments;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Instant;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What this gym offers to others, and the links under which they read it. */
final readonly class SharingController
{
    public function __construct(
        private Offerings $offerings,
        private OfferLinks $links,
        private OfferWriter $writer,
        private GroupDocuments $group,
    ) {
    }

    #[Route('/api/offerings', methods: 'GET')]
    #[IsGranted(Permission::ManageGym->value)]
    public function list(): JsonResponse
    {
        return new JsonResponse([
            'offerings' => array_map(fn (Offering $one): ShownOffering => new ShownOffering(
                $one->kind(),
                $one->subject(),
                $this->writer->nameOrNull($one->kind(), $one->subject()),
                $one->user()->name(),
                new Instant($one->createdAt()),
            ), $this->offerings->all()),
            'links' => array_map(static fn (OfferLink $link): ShownOfferLink => $link->shown(), $this->links->open()),
            'group' => $this->group->group(),
        ]);
    }

    #[Route('/api/offerings', methods: 'PUT')]
    #[IsGranted(Permission::ManageGym->value)]
    public function change(
        #[MapRequestPayload(acceptFormat: 'json')] OfferingRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        // What is gone can still be taken from the list.
        $name = $request->isOffered
            ? $this->writer->name($request->kind, $request->subject)
            : $this->writer->nameOrNull($request->kind, $request->subject) ?? $request->subject;
        $this->offerings->change($request, $name, $user);

        return $this->list();
    }

    #[Route('/api/offer-links', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function createLink(
        #[MapRequestPayload(acceptFormat: 'json')] OfferLinkRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->links->create($request, $user)->shown(), 201);
    }

    #[Route('/api/offer-links/{id<\d{1,9}>}/revoke', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function revokeLink(int $id, #[CurrentUser] User $user): Response
    {
        $this->links->revoke($id, $user);

        return new Response(status: 204);
    }

    /** Returns what this gym offers, by the key in the URL, without sign-in. */
    #[Route('/api/shared-offers/{key<[0-9a-f]{32}>}', methods: 'GET')]
    public function read(string $key, Request $request): Response
    {
        $this->links->requireOpen($key);
        $json = Digest::json($this->writer->write());
        $response = JsonResponse::fromJsonString($json);
        $response->setEtag(hash('xxh128', $json));
        $response->isNotModified($request);

        return $response;
    }

    /** Says whether a combination is offered, and where it came from. */
    #[Route('/api/combinations/{id<\d{1,9}>}/sharing', methods: 'GET')]
    public function ofCombination(int $id, Combinations $combinations, AnsweredOffers $answers): JsonResponse
    {
        $content = $combinations->get($id)->content();
        $themes = $this->offerings->subjects(OfferKind::Theme);
        $origin = $answers->originOf($id);

        return new JsonResponse([
            'isOffered' => null !== $this->offerings->offering(OfferKind::Combination, (string) $id),
            'themes' => array_values(array_intersect($content->themes, $themes)),
            'origin' => null === $origin ? null : [
                'gym' => $origin->gym(),
                'who' => $origin->user()->name(),
                'at' => new Instant($origin->createdAt()),
            ],
        ]);
    }
}
