<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Http\ApiProblem;
use Psr\Clock\ClockInterface;

/**
 * The courses of the gym. Nobody else asks the table.
 *
 * @phpstan-import-type CourseContent from Course
 */
final readonly class Courses
{
    public function __construct(private Connection $connection, private AuditLog $audit, private ClockInterface $clock)
    {
    }

    /** @return list<Course> by name, those in use first */
    public function all(): array
    {
        return array_map(self::of(...), $this->connection->fetchAllAssociative('SELECT * FROM course ORDER BY archived_at IS NOT NULL, name, id'));
    }

    /** @return array<int, string> by id */
    public function names(): array
    {
        /** @var array<int, string> $names */
        $names = $this->connection->fetchAllKeyValue('SELECT id, name FROM course');

        return $names;
    }

    /** @throws ApiProblem when there is none */
    public function get(int $id): Course
    {
        $row = $this->connection->fetchAssociative('SELECT * FROM course WHERE id = ?', [$id]);

        return false === $row ? throw new ApiProblem(404, 'not-found', 'There is no such course.') : self::of($row);
    }

    public function create(CourseRequest $request, User $editor): Course
    {
        $id = 0;
        $this->connection->transactional(function () use ($request, $editor, &$id): void {
            $this->connection->insert('course', $this->row($request, $editor));
            $id = (int) $this->connection->lastInsertId();
            $this->audit->add($editor->id(), 'course.created', \sprintf('made the course “%s”', trim($request->name)), 'course/'.$id);
        });

        return $this->get($id);
    }

    public function update(int $id, int $basedOn, CourseRequest $request, User $editor): Course
    {
        return $this->change($id, $basedOn, $this->row($request, $editor), $editor, 'course.updated', 'changed the course “%s”');
    }

    public function archive(int $id, int $basedOn, User $editor): Course
    {
        return $this->change($id, $basedOn, ['archived_at' => $this->clock->now()->format('Y-m-d H:i:s')], $editor, 'course.archived', 'archived the course “%s”');
    }

    public function restore(int $id, int $basedOn, User $editor): Course
    {
        return $this->change($id, $basedOn, ['archived_at' => null], $editor, 'course.restored', 'brought back the course “%s”');
    }

    /** @param array<string, mixed> $values */
    private function change(int $id, int $basedOn, array $values, User $editor, string $what, string $says): Course
    {
        $this->connection->transactional(function () use ($id, $basedOn, $values, $editor, $what, $says): void {
            $version = $this->connection->fetchOne('SELECT version FROM course WHERE id = ? FOR UPDATE', [$id]);
            if (!is_numeric($version)) {
                throw new ApiProblem(404, 'not-found', 'There is no such course.');
            }
            if ((int) $version !== $basedOn) {
                throw new ApiProblem(412, 'changed-meanwhile', 'This course was changed meanwhile. Nothing was overwritten; look at the newest and make the change again.');
            }
            $this->connection->update('course', [...$values, 'version' => $basedOn + 1], ['id' => $id]);
            $this->audit->add($editor->id(), $what, \sprintf($says, $this->get($id)->name), 'course/'.$id);
        });

        return $this->get($id);
    }

    /** @return array<string, mixed> */
    private function row(CourseRequest $request, User $editor): array
    {
        return [
            'name' => trim($request->name),
            'content' => json_encode($request->content(), \JSON_THROW_ON_ERROR),
            'editor_id' => $editor->id(),
            'updated_at' => $this->clock->now()->format('Y-m-d H:i:s'),
        ];
    }

    /** @param array<string, mixed> $row */
    private static function of(array $row): Course
    {
        /** @var array{id: int|string, version: int|string, name: string, content: string, archived_at: string|null} $row */
        /** @var CourseContent $content */
        $content = json_decode($row['content'], true, flags: \JSON_THROW_ON_ERROR);

        return new Course((int) $row['id'], (int) $row['version'], $row['name'], $content, null !== $row['archived_at']);
    }
}
