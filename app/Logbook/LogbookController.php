<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Account\Accounts;
use Periplus\App\Account\Person;
use Periplus\App\Account\User;
use Periplus\App\Http\IfMatch;
use Periplus\App\Numbering\GymNumberings;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** The logbook entries: every coach writes and corrects them. */
#[Route('/api/logbook/entries')]
final readonly class LogbookController
{
    private const PAGE_SIZE = 30;

    public function __construct(
        private Logbook $logbook,
        private LogEntries $entries,
        private RunRecorder $recorder,
        private EntrySerializer $serializer,
        private Accounts $accounts,
        private GymNumberings $numberings,
    ) {
    }

    /**
     * @param bool $unchecked only those that no coach has looked at
     * @param bool $removed those that were taken out, instead
     */
    #[Route('', methods: 'GET')]
    public function list(
        #[MapQueryParameter] ?int $course = null,
        #[MapQueryParameter] bool $unchecked = false,
        #[MapQueryParameter] bool $removed = false,
        #[MapQueryParameter(options: ['min_range' => 1, 'max_range' => 100_000])] int $page = 1,
    ): JsonResponse {
        $this->recorder->catchUp();
        $found = $this->entries->page($course, $unchecked, $removed, $page, self::PAGE_SIZE);
        $coaches = $this->accounts->names();

        return new JsonResponse([
            'entries' => $found->entries,
            'total' => $found->total,
            'page' => $page,
            'size' => self::PAGE_SIZE,
            'unchecked' => $this->entries->countUnchecked(),
            'coaches' => array_map(
                static fn (int $id, string $name): Person => new Person($id, $name),
                array_keys($coaches),
                $coaches,
            ),
        ]);
    }

    #[Route('', methods: 'POST')]
    public function write(
        #[MapRequestPayload(acceptFormat: 'json')] EntryRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->logbook->write($request, $user), $user, 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->entries->get($id), $user);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    public function update(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] EntryRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->logbook->update($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/remove', methods: 'POST')]
    public function remove(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->logbook->remove($id, IfMatch::version($http), $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/restore', methods: 'POST')]
    public function restore(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->logbook->restore($id, IfMatch::version($http), $user), $user);
    }

    private function answer(LogEntry $entry, User $user, int $status = 200): JsonResponse
    {
        $response = new JsonResponse($this->serializer->serialize($entry, $this->numberings->forUser($user)), $status);
        $response->setEtag((string) $entry->version());

        return $response;
    }
}
