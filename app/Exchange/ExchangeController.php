<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\LargeBody;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Search\CombinationQuery;
use Periplus\App\Search\CompleteSearch;
use Periplus\App\Search\SearchRequest;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Invalid;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapQueryString;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

final readonly class ExchangeController
{
    private const PAGE_SIZE = 100;

    public function __construct(private ImportRuns $imports)
    {
    }

    /** Exports the result of a search or the whole library; "everything" includes archived combinations. */
    #[Route('/api/export.{format}', requirements: ['format' => 'json|csv|text'], methods: 'GET')]
    #[HeavyWork]
    public function export(
        FileFormat $format,
        CombinationQuery $query,
        CombinationTable $table,
        CompleteSearch $searches,
        Export $export,
        GymNumberings $numberings,
        #[CurrentUser] User $user,
        #[MapQueryString(validationFailedStatusCode: 422)] SearchRequest $list = new SearchRequest(),
        #[MapQueryParameter] bool $everything = false,
    ): Response {
        $numbering = $numberings->forUser($user);
        $ids = $searches->all($list, $numbering);
        if ($everything) {
            $ids = [...$ids, ...$query->all([], new SearchRequest(archived: true))];
        }
        $rows = (static function () use ($table, $ids): iterable {
            foreach (array_chunk($ids, 500) as $chunk) {
                yield from $table->summaries($chunk);
            }
        })();

        return new Response($export->write($format, $rows, $numbering), 200, [
            'Content-Type' => $format->type(),
            'Content-Disposition' => HeaderUtils::makeDisposition(
                HeaderUtils::DISPOSITION_ATTACHMENT,
                'library.'.$format->ending(),
            ),
        ]);
    }

    #[Route('/api/imports', methods: 'POST')]
    #[LargeBody(ImportRequest::MAX_BYTES)]
    #[IsGranted(Permission::EditLibrary->value)]
    #[HeavyWork]
    public function start(
        #[MapRequestPayload(acceptFormat: 'json')] ImportRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->imports->state($this->imports->start($request, $user->id())), 201);
    }

    #[Route('/api/imports/{id<\d{1,9}>}', methods: 'GET')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function read(int $id): JsonResponse
    {
        return new JsonResponse($this->imports->state($id));
    }

    #[Route('/api/imports/{id<\d{1,9}>}/lines', methods: 'GET')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function lines(
        int $id,
        LineRenderer $lines,
        GymNumberings $numberings,
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?LineKind $kind = null,
        #[MapQueryParameter] int $page = 1,
    ): JsonResponse {
        if ($page < 1 || $page > ImportFile::MAX_ENTRIES) {
            throw new Invalid(t('There is no such page.'));
        }
        // Fails for an import that is not there, which would else be one without lines.
        $this->imports->state($id);
        $numbering = $numberings->forUser($user);
        $rows = array_map(static function (ImportLine $line) use ($lines, $numbering): array {
            $content = $line->content();
            $fields = $line->entry()?->fields;

            return [
                'entry' => $line->number(),
                'kind' => $line->kind(),
                'source' => $line->source(),
                'content' => null === $content ? null : $lines->content($content, $numbering),
                // The text from the file, for the coach to correct.
                'written' => null === $fields ? null : ['name' => $fields['name'], 'chain' => $fields['chain']],
                'message' => $line->message(),
                'combination' => $line->combination(),
            ];
        }, $this->imports->lines($id, $kind, $page, self::PAGE_SIZE));

        return new JsonResponse(['lines' => $rows, 'size' => self::PAGE_SIZE]);
    }

    #[Route('/api/imports/{id<\d{1,9}>}/lines/{entry<\d{1,9}>}', methods: 'PUT')]
    #[IsGranted(Permission::EditLibrary->value)]
    public function edit(
        int $id,
        int $entry,
        #[MapRequestPayload(acceptFormat: 'json')] LineRequest $request,
    ): JsonResponse {
        $this->imports->edit($id, $entry, $request);

        return new JsonResponse($this->imports->state($id));
    }

    /** Undoes an import, except for combinations that were changed since. */
    #[Route('/api/imports/{id<\d{1,9}>}/undo', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    #[HeavyWork]
    public function undo(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $stays = $this->imports->undo($id, $user);

        return new JsonResponse([...(array) $this->imports->state($id), 'stays' => $stays]);
    }

    #[Route('/api/imports/{id<\d{1,9}>}/advance', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    #[HeavyWork]
    public function advance(int $id): JsonResponse
    {
        $this->imports->proceed($id);

        return new JsonResponse($this->imports->state($id));
    }

    #[Route('/api/imports/{id<\d{1,9}>}/apply', methods: 'POST')]
    #[IsGranted(Permission::EditLibrary->value)]
    #[HeavyWork]
    public function apply(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $this->imports->apply($id, $user);

        return new JsonResponse($this->imports->state($id));
    }
}
