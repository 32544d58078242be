<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Http\ApiProblem;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Searches kept under a name: a coach's own, and those shared with the gym. */
#[Route('/api/views')]
final readonly class SavedViewController
{
    private const MOST = 40;

    public function __construct(private Connection $connection)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(#[CurrentUser] User $user): JsonResponse
    {
        /** @var list<array{id: int|string, name: string, address: string, shared: int|string, owner_id: int|string, owner: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT v.id, v.name, v.address, v.shared, v.owner_id, u.name AS owner FROM saved_view v JOIN user u ON u.id = v.owner_id WHERE v.owner_id = ? OR v.shared = 1 ORDER BY v.name, v.id', [$user->id()]);

        return new JsonResponse(['views' => array_map(static fn (array $row): array => [
            'id' => (int) $row['id'],
            'name' => $row['name'],
            'address' => $row['address'],
            'shared' => 1 === (int) $row['shared'],
            'owner' => ['id' => (int) $row['owner_id'], 'name' => $row['owner']],
        ], $rows)]);
    }

    /** One of the same name is replaced. */
    #[Route('', methods: 'POST')]
    public function save(#[MapRequestPayload(acceptFormat: 'json')] SavedViewRequest $request, #[CurrentUser] User $user): Response
    {
        $this->connection->transactional(function () use ($request, $user): void {
            $name = trim($request->name);
            $this->connection->executeStatement('DELETE FROM saved_view WHERE owner_id = ? AND name = ?', [$user->id(), $name]);
            /** @var int|string $count */
            $count = $this->connection->fetchOne('SELECT COUNT(*) FROM saved_view WHERE owner_id = ?', [$user->id()]);
            if ((int) $count >= self::MOST) {
                throw new ApiProblem(409, 'too-many-views', \sprintf('You keep %d views already. Remove one first.', self::MOST));
            }
            $this->connection->insert('saved_view', ['name' => $name, 'address' => $request->address, 'owner_id' => $user->id(), 'shared' => (int) $request->shared]);
        });

        return new Response(status: 204);
    }

    /** One's own; the head coach may remove what is shared. */
    #[Route('/{id<\d{1,9}>}', methods: 'DELETE')]
    public function remove(int $id, #[CurrentUser] User $user): Response
    {
        $removed = $this->connection->executeStatement('DELETE FROM saved_view WHERE id = ? AND (owner_id = ?'.($user->isHeadCoach() ? ' OR shared = 1' : '').')', [$id, $user->id()]);

        return 0 === $removed ? throw new ApiProblem(404, 'not-found', 'There is no such view of yours.') : new Response(status: 204);
    }
}
