<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Course\Courses;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Http\ApiProblem;
use Periplus\Core\Session\Plan\PlanReader;
use Psr\Clock\ClockInterface;

/**
 * The plans of sessions and their versions. Nothing is overwritten unseen: every write names the version it was made from.
 * What one coach saves again within minutes is one version in the history, as it saves itself while one edits. Nobody else
 * asks these tables.
 */
final readonly class Plans implements HasQuota
{
    private const COLUMNS = 'p.id, p.version, p.name, p.course_id, p.starts_at, p.is_template, p.length_ms, p.problems, p.author_id, p.editor_id, p.updated_at, p.archived_at';
    private const SELECT = 'SELECT %s, a.name AS author_name, e.name AS editor_name FROM plan p JOIN user a ON a.id = p.author_id JOIN user e ON e.id = p.editor_id';
    private const LIMIT = 10_000;
    /** Most rows of a list. */
    private const MOST = 500;
    /** Members and list items of one plan, unknown ones among them. */
    private const MAX_MEMBERS = 10_000;
    /** Levels of JSON that MariaDB takes, less one for what it stands in. */
    private const DEEPEST = 30;
    /** s within which one coach's saves are one version */
    private const STINT = 900;

    public function __construct(
        private Connection $connection,
        private GymSettings $gym,
        private PlanCheck $check,
        private Courses $courses,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Those that start on these days, in their order.
     *
     * @param string|null $from day such as 2026-11-23, in the time of the gym; all when null
     * @param string|null $to the last day
     *
     * @return list<Plan>
     */
    public function between(?string $from, ?string $to, ?int $course = null): array
    {
        $where = ['p.archived_at IS NULL', 'p.is_template = 0'];
        $values = [];
        foreach ([['>=', $from, 'T00:00'], ['<=', $to, 'T23:59']] as [$is, $day, $time]) {
            if (null !== $day) {
                $moment = $this->gym->moment($day.$time) ?? throw new ApiProblem(422, 'invalid', \sprintf('"%s" is no day. Write it as 2026-11-26.', mb_strimwidth($day, 0, 20, '…')));
                $where[] = "p.starts_at $is ?";
                $values[] = $moment->format('Y-m-d H:i:s');
            }
        }
        if (null !== $course) {
            $where[] = 'p.course_id = ?';
            $values[] = $course;
        }

        return $this->select(implode(' AND ', $where).' AND p.starts_at IS NOT NULL ORDER BY p.starts_at, p.id LIMIT '.self::MOST, $values);
    }

    /** @return list<Plan> without a date, the last changed first */
    public function undated(): array
    {
        return $this->select('p.archived_at IS NULL AND p.is_template = 0 AND p.starts_at IS NULL ORDER BY p.updated_at DESC, p.id DESC LIMIT 100', []);
    }

    /** @return list<Plan> by name */
    public function templates(): array
    {
        return $this->select('p.archived_at IS NULL AND p.is_template = 1 ORDER BY p.name, p.id LIMIT '.self::MOST, []);
    }

    /** @return list<Plan> the last ones of a course that have started by now, the newest first */
    public function past(int $course, int $most): array
    {
        return $this->select(
            'p.archived_at IS NULL AND p.is_template = 0 AND p.course_id = ? AND p.starts_at <= ? ORDER BY p.starts_at DESC, p.id DESC LIMIT '.$most,
            [$course, $this->now()],
            withContent: true,
        );
    }

    /** @return list<Plan> all with a start from four weeks ago on, archived ones among them */
    public function forCalendar(?int $course): array
    {
        $since = $this->clock->now()->modify('-28 days')->format('Y-m-d H:i:s');
        $of = null === $course ? '' : ' AND p.course_id = ?';

        return $this->select('p.is_template = 0 AND p.starts_at >= ?'.$of.' ORDER BY p.starts_at, p.id LIMIT '.self::MOST, null === $course ? [$since] : [$since, $course]);
    }

    /** @throws ApiProblem when there is none */
    public function get(int $id): Plan
    {
        return $this->select('p.id = ?', [$id], withContent: true)[0] ?? throw new ApiProblem(
            404,
            'not-found',
            'There is no such session.',
        );
    }

    public function quota(): Quota
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM plan');

        return new Quota('plans', (int) $count, self::LIMIT);
    }

    public function create(PlanRequest $request, User $editor): Plan
    {
        $this->quota()->require();
        $row = $this->row($request);
        $id = 0;
        $this->connection->transactional(function () use ($row, $editor, &$id): void {
            $this->connection->insert('plan', [...$row, 'author_id' => $editor->id(), 'editor_id' => $editor->id(), 'created_at' => $this->now(), 'updated_at' => $this->now()]);
            $id = (int) $this->connection->lastInsertId();
            $this->remember($id, 1, $row, 'created', $editor);
            $this->audit->add($editor->id(), 'plan.created', \sprintf('planned “%s”', $row['name']), 'plan/'.$id);
        });

        return $this->get($id);
    }

    public function update(int $id, int $basedOn, PlanRequest $request, User $editor): Plan
    {
        $row = $this->row($request);

        return $this->change($id, $basedOn, $row, 'updated', $editor, \sprintf('changed the session “%s”', $row['name']));
    }

    public function archive(int $id, int $basedOn, User $editor): Plan
    {
        return $this->change($id, $basedOn, ['archived_at' => $this->now()], 'archived', $editor, \sprintf('archived the session “%s”', $this->get($id)->name));
    }

    public function restore(int $id, int $basedOn, User $editor): Plan
    {
        return $this->change($id, $basedOn, ['archived_at' => null], 'restored', $editor, \sprintf('brought back the session “%s”', $this->get($id)->name));
    }

    public function bringBack(int $id, int $basedOn, int $version, User $editor): Plan
    {
        $content = $this->connection->fetchOne('SELECT content FROM plan_version WHERE plan_id = ? AND version = ?', [$id, $version]);
        if (!\is_string($content)) {
            throw new ApiProblem(404, 'not-found', 'There is no such version of this session.');
        }
        /** @var array{name: string, course_id: int|null, starts_at: string|null, is_template: int, length_ms: int, problems: int, content: string} $row */
        $row = json_decode($content, true, flags: \JSON_THROW_ON_ERROR);

        return $this->change($id, $basedOn, $row, 'back', $editor, \sprintf('brought back version %d of the session “%s”', $version, $row['name']));
    }

    /** @return list<array<string, mixed>> the newest first */
    public function versions(int $id): array
    {
        $this->get($id);
        /** @var list<array{version: int|string, change_kind: string, content: string, created_at: string, editor_id: int|string, editor: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT v.version, v.change_kind, v.content, v.created_at, v.editor_id, u.name AS editor FROM plan_version v JOIN user u ON u.id = v.editor_id WHERE v.plan_id = ? ORDER BY v.version DESC LIMIT '.self::MOST, [$id]);

        return array_map(static function (array $row): array {
            /** @var array{name: string, length_ms: int, problems: int} $content */
            $content = json_decode($row['content'], true, flags: \JSON_THROW_ON_ERROR);

            return [
                'version' => (int) $row['version'],
                'change' => $row['change_kind'],
                'name' => $content['name'],
                'lengthMs' => $content['length_ms'],
                'problems' => $content['problems'],
                'editor' => ['id' => (int) $row['editor_id'], 'name' => $row['editor']],
                'createdAt' => (new \DateTimeImmutable($row['created_at']))->format(\DATE_ATOM),
            ];
        }, $rows);
    }

    /** The version alone, for a page that asks every few seconds; null when there is none. */
    public function version(int $id): ?int
    {
        $version = $this->connection->fetchOne('SELECT version FROM plan WHERE id = ?', [$id]);

        return is_numeric($version) ? (int) $version : null;
    }

    /** @param array<string, mixed> $values */
    private function change(int $id, int $basedOn, array $values, string $kind, User $editor, string $says): Plan
    {
        $this->connection->transactional(function () use ($id, $basedOn, $values, $kind, $editor, $says): void {
            $version = $this->connection->fetchOne('SELECT version FROM plan WHERE id = ? FOR UPDATE', [$id]);
            if (!is_numeric($version)) {
                throw new ApiProblem(404, 'not-found', 'There is no such session.');
            }
            if ((int) $version !== $basedOn) {
                throw new ApiProblem(412, 'changed-meanwhile', \sprintf('%s changed this session meanwhile. Nothing was overwritten.', $this->get($id)->editor['name']));
            }
            $this->connection->update('plan', [...$values, 'version' => $basedOn + 1, 'editor_id' => $editor->id(), 'updated_at' => $this->now()], ['id' => $id]);
            /** @var array{name: string, course_id: int|string|null, starts_at: string|null, is_template: int|string, length_ms: int|string, problems: int|string, content: string} $row */
            $row = $this->connection->fetchAssociative('SELECT name, course_id, starts_at, is_template, length_ms, problems, content FROM plan WHERE id = ?', [$id]);
            if (!$this->remember($id, $basedOn + 1, $row, $kind, $editor)) {
                $this->audit->add($editor->id(), 'plan.'.$kind, $says, 'plan/'.$id);
            }
        });

        return $this->get($id);
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return bool whether it goes on with what the same coach saved minutes ago
     */
    private function remember(int $id, int $version, array $row, string $kind, User $editor): bool
    {
        $goesOn = 'updated' === $kind && 0 < $this->connection->executeStatement(
            "DELETE FROM plan_version WHERE plan_id = ? AND version = ? AND editor_id = ? AND change_kind = 'updated' AND created_at > ?",
            [$id, $version - 1, $editor->id(), $this->clock->now()->modify('-'.self::STINT.' seconds')->format('Y-m-d H:i:s')],
        );
        $this->connection->insert('plan_version', [
            'plan_id' => $id,
            'version' => $version,
            'change_kind' => $kind,
            'content' => json_encode(array_intersect_key($row, array_flip(['name', 'course_id', 'starts_at', 'is_template', 'length_ms', 'problems', 'content'])), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
            'editor_id' => $editor->id(),
            'created_at' => $this->now(),
        ]);

        return $goesOn;
    }

    /** @return array{name: string, course_id: int|null, starts_at: string|null, is_template: int, length_ms: int, problems: int, content: string} */
    private function row(PlanRequest $request): array
    {
        $starts = null;
        if (null !== $request->startsAt && !$request->isTemplate) {
            $starts = $this->gym->moment($request->startsAt) ?? throw new ApiProblem(422, 'invalid', \sprintf('"%s" is no time of this gym. Write it as 2026-11-26T18:30; an hour that the clocks leave out does not exist.', $request->startsAt), ['violations' => [['field' => 'startsAt', 'message' => 'There is no such time.']]]);
        }
        $course = null === $request->course ? null : $this->courses->get($request->course)->id;
        try {
            $content = json_encode((object) $request->content, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION, self::DEEPEST);
        } catch (\JsonException) {
            throw new ApiProblem(422, 'invalid', 'This is nested deeper than any session. Take the plan from where it was written again.', ['violations' => [['field' => 'content', 'message' => 'It is nested too deeply.']]]);
        }
        $members = iterator_count(new \RecursiveIteratorIterator(
            new \RecursiveArrayIterator($request->content),
            \RecursiveIteratorIterator::SELF_FIRST,
        ));
        if ($members > self::MAX_MEMBERS) {
            throw new ApiProblem(
                422,
                'invalid',
                \sprintf(
                    'This plan has %s values; a session has at most %s.',
                    number_format($members),
                    number_format(self::MAX_MEMBERS),
                ),
                ['violations' => [['field' => 'content', 'message' => 'It has too many values.']]],
            );
        }
        $reading = $this->check->reader()->read($request->content);

        return [
            'name' => trim($request->name),
            'course_id' => $course,
            'starts_at' => $starts?->format('Y-m-d H:i:s'),
            'is_template' => (int) $request->isTemplate,
            'length_ms' => 1000 * PlanReader::seconds($reading->plan),
            'problems' => \count($reading->problems),
            'content' => $content,
        ];
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<Plan>
     */
    private function select(string $where, array $values, bool $withContent = false): array
    {
        $columns = self::COLUMNS.($withContent ? ', p.content' : '');
        $rows = $this->connection->fetchAllAssociative(\sprintf(self::SELECT, $columns).' WHERE '.$where, $values);
        $names = [] === $rows ? [] : $this->courses->names();

        return array_map(function (array $row) use ($names): Plan {
            /** @var array{id: int|string, version: int|string, name: string, course_id: int|string|null, is_template: int|string, starts_at: string|null, length_ms: int|string, problems: int|string, content?: string, author_id: int|string, author_name: string, editor_id: int|string, editor_name: string, updated_at: string, archived_at: string|null} $row */
            /** @var array<mixed>|null $content */
            $content = isset($row['content']) ? json_decode($row['content'], true, flags: \JSON_THROW_ON_ERROR) : null;

            return new Plan(
                (int) $row['id'],
                (int) $row['version'],
                $row['name'],
                null === $row['course_id'] ? null : ['id' => (int) $row['course_id'], 'name' => $names[(int) $row['course_id']] ?? ''],
                1 === (int) $row['is_template'],
                $this->gym->local($row['starts_at']),
                (int) $row['length_ms'],
                (int) $row['problems'],
                $content,
                ['id' => (int) $row['author_id'], 'name' => $row['author_name']],
                ['id' => (int) $row['editor_id'], 'name' => $row['editor_name']],
                new \DateTimeImmutable($row['updated_at']),
                null !== $row['archived_at'],
            );
        }, $rows);
    }

    private function now(): string
    {
        return $this->clock->now()->format('Y-m-d H:i:s');
    }
}
