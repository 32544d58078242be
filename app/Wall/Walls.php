<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Http\ApiProblem;
use Psr\Clock\ClockInterface;

/** The walls of the gym. A revoked one is kept for the log of what it showed, and nothing else. Nobody else asks these tables. */
final readonly class Walls
{
    private const MOST = 50;

    public function __construct(private Connection $connection, private AuditLog $audit, private ClockInterface $clock)
    {
    }

    /** @return list<Wall> by name */
    public function all(): array
    {
        return $this->select('revoked_at IS NULL ORDER BY w.name, w.id', []);
    }

    /** @return list<Wall> those that show this session */
    public function showing(int $run): array
    {
        return $this->select('revoked_at IS NULL AND run_id = ? ORDER BY w.name, w.id', [$run]);
    }

    /** The wall with that key; null when there is none, or it was revoked. */
    public function withKey(string $key): ?Wall
    {
        return $this->select('revoked_at IS NULL AND wall_key = ?', [$key])[0] ?? null;
    }

    /** @throws ApiProblem when there is none */
    public function get(int $id): Wall
    {
        return $this->select('revoked_at IS NULL AND w.id = ?', [$id])[0] ?? throw new ApiProblem(
            404,
            'not-found',
            'There is no such wall. It may have been revoked.',
        );
    }

    public function create(WallRequest $request, User $editor): Wall
    {
        if (\count($this->all()) >= self::MOST) {
            throw new ApiProblem(409, 'too-many', \sprintf('A gym has at most %d walls. Revoke one that is not used any more.', self::MOST));
        }
        $this->connection->insert('wall', ['name' => trim($request->name), 'wall_key' => bin2hex(random_bytes(16)), 'has_keys' => (int) $request->hasKeys, 'editor_id' => $editor->id(), 'created_at' => $this->now()]);
        $id = (int) $this->connection->lastInsertId();
        $this->audit->add($editor->id(), 'wall.created', \sprintf('added the wall “%s”', trim($request->name)), 'wall/'.$id);

        return $this->get($id);
    }

    public function update(int $id, WallRequest $request, User $editor): Wall
    {
        $before = $this->get($id);
        $this->connection->update('wall', ['name' => trim($request->name), 'has_keys' => (int) $request->hasKeys], ['id' => $id]);
        $this->audit->add($editor->id(), 'wall.updated', \sprintf('changed the wall “%s”', $before->name), 'wall/'.$id);

        return $this->get($id);
    }

    /** Its address opens nothing from now on. */
    public function revoke(int $id, User $editor): Wall
    {
        $wall = $this->get($id);
        $this->connection->update('wall', ['revoked_at' => $this->now(), 'run_id' => null], ['id' => $id]);
        $this->audit->add($editor->id(), 'wall.revoked', \sprintf('revoked the wall “%s”', $wall->name), 'wall/'.$id);

        return $wall;
    }

    /** @param list<int> $ids that show this session from now on */
    public function show(int $run, array $ids): void
    {
        foreach ($ids as $id) {
            $this->connection->update('wall', ['run_id' => $run], ['id' => $this->get($id)->id]);
            $this->connection->executeStatement('INSERT IGNORE INTO wall_run (wall_id, run_id) VALUES (?, ?)', [$id, $run]);
        }
    }

    /** Whether it shows that session, or has shown it. */
    public function hasShown(Wall $wall, int $run): bool
    {
        return false !== $this->connection->fetchOne('SELECT 1 FROM wall_run WHERE wall_id = ? AND run_id = ?', [$wall->id, $run]);
    }

    /** That it has asked just now; written once in a while. */
    public function seen(Wall $wall): void
    {
        $now = $this->clock->now();
        if (null === $wall->seenAt || $wall->seenAt < $now->modify('-20 seconds')) {
            $this->connection->update('wall', ['seen_at' => $now->format('Y-m-d H:i:s')], ['id' => $wall->id]);
        }
    }

    private function now(): string
    {
        return $this->clock->now()->format('Y-m-d H:i:s');
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<Wall>
     */
    private function select(string $where, array $values): array
    {
        /** @var list<array{id: int|string, name: string, wall_key: string, has_keys: int|string, run_id: int|string|null, seen_at: string|null}> $rows */
        // A wall whose coach is blocked goes on showing, but presses nothing.
        $rows = $this->connection->fetchAllAssociative(
            'SELECT w.id, w.name, w.wall_key, w.has_keys AND u.active AS has_keys, w.run_id, w.seen_at FROM wall w JOIN user u ON u.id = w.editor_id WHERE '.$where,
            $values,
        );

        return array_map(static fn (array $row): Wall => new Wall(
            (int) $row['id'],
            $row['name'],
            $row['wall_key'],
            1 === (int) $row['has_keys'],
            null === $row['run_id'] ? null : (int) $row['run_id'],
            null === $row['seen_at'] ? null : new \DateTimeImmutable($row['seen_at'], new \DateTimeZone('UTC')),
        ), $rows);
    }
}
