<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Core\User\UserInterface;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

final readonly class AuditController
{
    private const PAGE_SIZE = 50;

    public function __construct(
        private AuditLog $audit,
        /** @var iterable<UndoesChange> */
        #[AutowireIterator(UndoesChange::class)]
        private iterable $undoes,
    ) {
    }

    #[Route('/api/audit-log', methods: 'GET')]
    #[IsGranted(Permission::ReadAuditLog->value)]
    public function list(#[MapQueryParameter] int $page = 1, #[MapQueryParameter] string $what = ''): JsonResponse
    {
        return new JsonResponse([
            ...(array) $this->audit->page(max(1, min($page, 100_000)), self::PAGE_SIZE, mb_substr($what, 0, 20)),
            'size' => self::PAGE_SIZE,
        ]);
    }

    /** Returns what a change of the whole gym has replaced. */
    #[Route('/api/audit-log/{id<\d{1,9}>}', methods: 'GET')]
    #[IsGranted(Permission::ReadAuditLog->value)]
    public function read(int $id): JsonResponse
    {
        $entry = $this->audit->get($id);

        return new JsonResponse(['id' => $id, 'what' => $entry->what(), 'before' => $entry->before()]);
    }

    /** Undoes a change of the whole gym, unless it was changed again since. */
    #[Route('/api/audit-log/{id<\d{1,9}>}/undo', methods: 'POST')]
    #[IsGranted(Permission::ManageGym->value)]
    public function undo(int $id, #[CurrentUser] UserInterface $user): Response
    {
        $entry = $this->audit->get($id);
        $before = $entry->before();
        foreach ($this->undoes as $undoes) {
            if ($undoes->kind() === $entry->what() && null !== $before) {
                if ($this->audit->isOutdated($id, $entry->what())) {
                    throw new Conflict(
                        'changed-since',
                        t('This was changed again since. Undo the newest change first.'),
                    );
                }
                $undoes->undo($before, $user);

                return new Response(status: 204);
            }
        }

        throw new Invalid(t('This change cannot be undone from here. Open it, and change it there.'));
    }
}
