<?php

declare(strict_types=1);

namespace Periplus\App\Advice;

use Doctrine\DBAL\Connection;
use Periplus\App\Http\ApiProblem;
use Periplus\Core\Session\Advice\Advice;
use Psr\Clock\ClockInterface;

/**
 * The reminders and exercises of this gym: those that ship until the head coach has edited them. Nobody else asks the table.
 *
 * @phpstan-type WrittenReminder array{id: string, for: string, text: string}
 * @phpstan-type WrittenExercise array{id: string, name: string, for: list<string>, does: string, seconds: int, count: int|null, easier: string, caution: string}
 */
final class GymAdvice
{
    private ?Advice $read = null;

    public function __construct(private readonly Connection $connection, private readonly ClockInterface $clock)
    {
    }

    public function advice(): Advice
    {
        if (null === $this->read) {
            /** @var list<WrittenReminder>|null $reminders */
            $reminders = $this->content('reminders');
            /** @var list<WrittenExercise>|null $exercises */
            $exercises = $this->content('exercises');
            $builtIn = Advice::builtIn();
            $own = Advice::of($reminders ?? [], $exercises ?? []);
            $this->read = new Advice(null === $reminders ? $builtIn->reminders : $own->reminders, null === $exercises ? $builtIn->exercises : $own->exercises);
        }

        return $this->read;
    }

    /** 1 until somebody has edited it. */
    public function version(string $list): int
    {
        $version = $this->connection->fetchOne('SELECT version FROM advice WHERE id = ?', [$list]);

        return is_numeric($version) ? (int) $version : 1;
    }

    /** @param list<array<string, mixed>>|null $rows null for those that ship */
    public function store(string $list, int $basedOn, ?array $rows, int $editor): void
    {
        $this->connection->transactional(function () use ($list, $basedOn, $rows, $editor): void {
            $version = $this->connection->fetchOne('SELECT version FROM advice WHERE id = ? FOR UPDATE', [$list]);
            if ((is_numeric($version) ? (int) $version : 1) !== $basedOn) {
                throw new ApiProblem(412, 'changed-meanwhile', 'This list was changed meanwhile. Nothing was overwritten; look at the newest and make the change again.');
            }
            $this->connection->executeStatement(
                'INSERT INTO advice (id, version, content, editor_id, updated_at) VALUES (?, ?, ?, ?, ?) ON DUPLICATE KEY UPDATE version = VALUES(version), content = VALUES(content), editor_id = VALUES(editor_id), updated_at = VALUES(updated_at)',
                [$list, $basedOn + 1, json_encode($rows, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE), $editor, $this->clock->now()->format('Y-m-d H:i:s')],
            );
        });
        $this->read = null;
    }

    private function content(string $list): mixed
    {
        $content = $this->connection->fetchOne('SELECT content FROM advice WHERE id = ?', [$list]);

        return \is_string($content) ? json_decode($content, true, flags: \JSON_THROW_ON_ERROR) : null;
    }
}
