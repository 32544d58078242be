<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymRules;
use Periplus\App\Http\Problem;
use Periplus\Core\Flow\CheckDocument;
use Periplus\Core\Flow\CheckOptions;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

#[Route('/api/combinations')]
final readonly class LibraryController
{
    public function __construct(
        private Library $library,
        private Combinations $combinations,
        private CheckDocument $documents,
        private GymRules $rules,
    ) {
    }

    #[Route('', methods: 'GET')]
    public function list(#[MapQueryString(validationFailedStatusCode: 422)] ListRequest $list = new ListRequest()): JsonResponse
    {
        $page = $this->combinations->page($list);
        $rows = [];
        foreach ($page as $combination) {
            $rows[] = [...$combination->toArray(), 'line' => $this->line($combination)];
        }

        return new JsonResponse(['combinations' => $rows, 'total' => \count($page), 'page' => $list->page, 'size' => $list->size]);
    }

    #[Route('', methods: 'POST')]
    public function create(#[MapRequestPayload(acceptFormat: 'json')] SaveRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $combination = $this->library->create($request, $user);

        return $this->answer($combination, 201, ['Location' => '/api/combinations/'.$combination->id()]);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id): JsonResponse
    {
        return $this->answer($this->combinations->get($id));
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    public function update(int $id, Request $http, #[MapRequestPayload(acceptFormat: 'json')] SaveRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->library->update($id, self::basedOn($http), $request, $user));
    }

    #[Route('/{id<\d{1,9}>}/archive', methods: 'POST')]
    public function archive(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->library->archive($id, self::basedOn($http), $user));
    }

    #[Route('/{id<\d{1,9}>}/restore', methods: 'POST')]
    public function restore(int $id, Request $http, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->library->restore($id, self::basedOn($http), $user));
    }

    #[Route('/{id<\d{1,9}>}/versions', methods: 'GET')]
    public function versions(int $id): JsonResponse
    {
        return new JsonResponse(['versions' => array_map(
            static fn (CombinationVersion $version): array => $version->toArray(),
            $this->library->versions($this->combinations->get($id)),
        )]);
    }

    /** @param array<string, string> $headers */
    private function answer(Combination $combination, int $status = 200, array $headers = []): JsonResponse
    {
        return new JsonResponse($combination->toArray(), $status, ['ETag' => \sprintf('"%d"', $combination->version()), ...$headers]);
    }

    /** @return array<string, mixed> what the combination line draws, see docs/formats/check.md */
    private function line(Combination $combination): array
    {
        $content = $combination->content();
        $document = $this->documents->of($content->notation, new CheckOptions(stance: $content->stance, rules: $this->rules->named($content->rules)));

        return array_intersect_key($document, ['items' => true, 'links' => true, 'lengthMs' => true]);
    }

    private static function basedOn(Request $http): int
    {
        $header = (string) $http->headers->get('If-Match');
        if (1 !== preg_match('/^(?:W\/)?"(\d{1,9})"$/', trim($header), $found)) {
            throw new Problem(428, 'version-missing', 'Say which version this was made from, in If-Match.');
        }

        return (int) $found[1];
    }
}
