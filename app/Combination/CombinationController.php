<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Account\User;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\IfMatch;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Security\Permission;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route('/api/combinations')]
final readonly class CombinationController
{
    public function __construct(
        private Library $library,
        private Combinations $combinations,
        private DraftReader $drafts,
        private LineRenderer $lines,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function create(
        #[MapRequestPayload(acceptFormat: 'json')] SaveRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $combination = $this->library->create($this->drafts->read($request), $user);

        return $this->answer($combination, $user, 201, ['Location' => '/api/combinations/'.$combination->id()]);
    }

    /** Changes several combinations together, or none. */
    #[Route('/bulk', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    #[HeavyWork]
    public function bulk(
        #[MapRequestPayload(acceptFormat: 'json')] BulkRequest $request,
        Bulk $bulk,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse([
            'combinations' => array_map(
                static fn (Combination $one): array => ['id' => $one->id(), 'version' => $one->version()],
                $bulk->do($request, $user),
            ),
        ]);
    }

    /** Merges two similar combinations into one. */
    #[Route('/merge', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function merge(
        #[MapRequestPayload(acceptFormat: 'json')] MergeRequest $request,
        Bulk $bulk,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($bulk->merge($request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->combinations->get($id), $user);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function update(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] SaveRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer(
            $this->library->update($id, IfMatch::version($http), $this->drafts->read($request), $user),
            $user,
        );
    }

    #[Route('/{id<\d{1,9}>}/archive', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function archive(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->library->archive($id, IfMatch::version($http), $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/restore', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function restore(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->library->restore($id, IfMatch::version($http), $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/versions', methods: 'GET')]
    public function versions(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $numbering = $this->numberings->forUser($user);

        return new JsonResponse([
            'versions' => array_map(
                fn (CombinationVersion $version): ShownVersion => new ShownVersion(
                    $version,
                    $this->lines->text($version->content()->notation, $version->content()->stance, $numbering),
                ),
                $this->library->versions($this->combinations->get($id)),
            ),
        ]);
    }

    #[Route('/{id<\d{1,9}>}/versions/{version<\d{1,9}>}/bring-back', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function restoreVersion(int $id, int $version, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->library->restoreVersion($id, IfMatch::version($http), $version, $user), $user);
    }

    /** @param array<string, string> $headers */
    private function answer(Combination $combination, User $user, int $status = 200, array $headers = []): JsonResponse
    {
        return new JsonResponse(
            $this->lines->combination($combination->summary(), $this->numberings->forUser($user)),
            $status,
            ['ETag' => \sprintf('"%d"', $combination->version()), ...$headers],
        );
    }
}
