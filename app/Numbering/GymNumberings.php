<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\ConnectionException;
use Periplus\App\Account\User;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\LastKnown;
use Periplus\Core\Notation\Numbering;

/**
 * The numberings of this gym: the built-in ones, and those the head coach made.
 *
 * @phpstan-import-type Content from Numbering
 */
final class GymNumberings
{
    private const COPY = 'numbering.';
    /** s */
    private const FRESH = 2;

    /** @var array<string, Numbering> what was read during this request */
    private array $read = [];

    public function __construct(private readonly Connection $connection, private readonly LastKnown $lastKnown)
    {
    }

    /** @throws ApiProblem when the gym has no such numbering */
    public function named(string $id): Numbering
    {
        return Numbering::builtIn()[$id] ?? $this->read[$id] ??= $this->own($id) ?? throw new ApiProblem(422, 'invalid', \sprintf('There is no numbering "%s" in this gym. Choose another.', mb_substr($id, 0, 40)), ['violations' => [['field' => 'numbering', 'message' => 'There is no such numbering.']]]);
    }

    /** The numbering that a coach reads in. */
    public function of(User $user): Numbering
    {
        return $this->named($user->numbering() ?? $this->ofGym());
    }

    /** The numbering of whoever has not chosen one. */
    public function ofGym(): string
    {
        try {
            /** @var string $numbering */
            $numbering = $this->connection->fetchOne('SELECT numbering FROM gym WHERE id = 1');
        } catch (ConnectionException) {
            return 'parity';
        }

        return $numbering;
    }

    /** @return array<string, array{Numbering, int|null}> by id: the numbering and its version; built-in ones have none, and are there while the database is away */
    public function all(): array
    {
        $all = array_map(static fn (Numbering $numbering): array => [$numbering, null], Numbering::builtIn());
        try {
            $rows = $this->connection->fetchAllAssociative('SELECT id, content, version FROM numbering ORDER BY id');
        } catch (ConnectionException) {
            return $all;
        }
        /** @var array{id: string, content: string, version: int|string} $row */
        foreach ($rows as $row) {
            $all[$row['id']] = [self::numbering($row['id'], $row['content']), (int) $row['version']];
        }

        return $all;
    }

    /** @return list<string> names of the coaches who read in the gym's numbering because they chose none */
    public function followers(): array
    {
        $names = $this->connection->fetchFirstColumn('SELECT name FROM user WHERE active = 1 AND numbering IS NULL ORDER BY name');

        return array_values(array_filter($names, is_string(...)));
    }

    /** @return array<string, list<string>> by numbering the names of the coaches who read in it */
    public function readers(): array
    {
        $readers = [];
        foreach ($this->connection->fetchAllAssociative('SELECT name, numbering FROM user WHERE active = 1 ORDER BY name') as $row) {
            $readers[\is_string($row['numbering']) ? $row['numbering'] : $this->ofGym()][] = \is_string($row['name']) ? $row['name'] : '';
        }

        return $readers;
    }

    /** The version, held until the transaction ends; null when there is none of that id. */
    public function version(string $id): ?int
    {
        /** @var int|string|false $version */
        $version = $this->connection->fetchOne('SELECT version FROM numbering WHERE id = ? FOR UPDATE', [$id]);

        return false === $version ? null : (int) $version;
    }

    public function store(Numbering $numbering, int $editor, \DateTimeImmutable $now): void
    {
        $this->connection->executeStatement(
            'INSERT INTO numbering (id, content, editor_id, updated_at) VALUES (?, ?, ?, ?) ON DUPLICATE KEY UPDATE content = VALUES(content), editor_id = VALUES(editor_id), updated_at = VALUES(updated_at), version = version + 1',
            [$numbering->id, json_encode($numbering->content(), \JSON_THROW_ON_ERROR), $editor, $now->format('Y-m-d H:i:s')],
        );
    }

    /** Once a changed numbering is in place, nobody goes on with what was read before. */
    public function forget(string $id): void
    {
        unset($this->read[$id]);
        $this->lastKnown->forget(self::COPY.$id);
    }

    private function own(string $id): ?Numbering
    {
        return self::numbering($id, $this->lastKnown->read(self::COPY.$id, self::FRESH, fn (): mixed => $this->connection->fetchOne('SELECT content FROM numbering WHERE id = ?', [$id])));
    }

    /** @return ($content is string ? Numbering : Numbering|null) */
    private static function numbering(string $id, mixed $content): ?Numbering
    {
        if (!\is_string($content)) {
            return null;
        }
        /** @var Content $read */
        $read = json_decode($content, true, flags: \JSON_THROW_ON_ERROR);

        return Numbering::of($id, $read);
    }
}
