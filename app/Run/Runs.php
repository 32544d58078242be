<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Plan\Plans;
use Periplus\App\Voice\Clips;
use Periplus\App\Wall\Wall;
use Periplus\App\Wall\Walls;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Log\Drilled;
use Periplus\Core\Session\Run\CommandKind;
use Periplus\Core\Session\Run\CommandRefused;
use Periplus\Core\Session\Run\Commands;
use Periplus\Core\Session\Run\RoundTimer;
use Periplus\Core\Session\Run\RunCommand;
use Periplus\Core\Session\Run\RunState;
use Periplus\Core\Session\Wall\WallSerializer;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/**
 * The sessions that run. Commands of one session are taken one after the other, under its lock; each counts its revision
 * up. A command that came before is answered with what it led to, and one that only says again what was done since the
 * revision that its coach saw changes nothing. Nobody else asks these tables.
 *
 * @phpstan-import-type StoredAmendment from Programmes
 */
final readonly class Runs implements HasQuota
{
    private const SELECT = 'SELECT r.id, r.plan_id, r.name, r.state, r.revision, r.programme, r.length_ms, r.follow_key, r.starter_id, r.started_ms, r.ended_ms, u.name AS starter FROM run r JOIN user u ON u.id = r.starter_id';
    /** ms after its end at which a session counts as ended, though nobody said so */
    private const GRACE = 600_000;
    /** ms after its end for which athletes may still look at it */
    private const FOLLOWED = 86_400_000;
    /** By which a wall's clock may be off, ms. */
    private const CLOCK_ERROR_MS = 60_000;
    /** Stretches without a jump, of one session: some come from walls that were pressed while the server was away. */
    private const MAX_PASSAGES = 200;
    /** Most cues that are kept of one session: a day of calls, gone through many times. */
    private const MOST_SHOWN = 50_000;
    private const LIMIT = 10_000;
    private const MAX_RUNNING = 12;
    /** Changes of the programme of one session: each keeps a programme. */
    private const MAX_VERSIONS = 120;
    /** ms from which on a command counts as given while the server was away */
    private const LATE = 3000;

    public function __construct(
        private Connection $connection,
        private Plans $plans,
        private Programmes $programmes,
        private Walls $walls,
        private Clips $clips,
        private Push $push,
        private AuditLog $audit,
        private ClockInterface $clock,
        private LoggerInterface $logger,
        private RunWork $work,
        /** @var iterable<RunObserver> */
        #[AutowireIterator(RunObserver::class)]
        private iterable $observers,
    ) {
    }

    /** ms since 1970, of which every screen keeps its own copy */
    public function now(): int
    {
        return (int) $this->clock->now()->format('Uv');
    }

    /** @return list<Run> those that run */
    public function running(): array
    {
        foreach ($this->select('r.ended_ms IS NULL', []) as $run) {
            $this->endWhenOver($run);
        }

        return $this->select('r.ended_ms IS NULL ORDER BY r.started_ms DESC, r.id DESC', []);
    }

    /** @return list<Run> the last ones that ended, the newest first */
    public function ended(): array
    {
        return $this->select('r.ended_ms IS NOT NULL ORDER BY r.started_ms DESC, r.id DESC LIMIT 30', []);
    }

    /** @throws ApiProblem when there is none */
    public function get(int $id): Run
    {
        return $this->select('r.id = ?', [$id])[0] ?? throw new ApiProblem(404, 'not-found', 'There is no such session that runs.');
    }

    /** The session that athletes follow by that key; null when there is none, or it is long over. */
    public function followed(string $key): ?Run
    {
        return $this->select('r.follow_key = ? AND (r.ended_ms IS NULL OR r.ended_ms > ?)', [$key, $this->now() - self::FOLLOWED])[0] ?? null;
    }

    public function quota(): Quota
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM run');

        return new Quota('sessions run', (int) $count, self::LIMIT);
    }

    public function start(StartRequest $request, User $user): Run
    {
        $started = $this->select('r.start_key = ?', [$request->id])[0] ?? null;
        if (null !== $started) {
            return $started;
        }
        $this->quota()->require();
        if (\count($this->running()) >= self::MAX_RUNNING) {
            throw new ApiProblem(
                409,
                'too-many',
                \sprintf('%d sessions are running. End one of them first.', self::MAX_RUNNING),
            );
        }
        $plan = null === $request->plan ? null : $this->plans->get($request->plan);
        $timer = $request->timer ?? new TimerRequest();
        $content = $plan?->content() ?? RoundTimer::plan($timer->rounds, $timer->seconds, $timer->rest);
        $programme = $this->programmes->build($content);
        if (0 === $programme->lengthMs) {
            throw new ApiProblem(422, 'empty', 'There is nothing in this session to run. Put a round into it first.');
        }
        $now = $this->now();
        $commands = new Commands($programme);
        $state = $commands->goingOn(new RunState($now + 1000 * $request->leadIn, $request->id, speed: $request->speed), -1);
        $id = 0;
        try {
            $this->connection->transactional(function () use ($request, $user, $plan, $content, $programme, $now, $state, &$id): void {
                $name = $plan->name ?? 'Round timer';
                $this->connection->insert('run', ['start_key' => $request->id, 'plan_id' => $plan?->id, 'name' => $name, 'content' => json_encode((object) $content, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION), 'state' => json_encode($state->toArray(), \JSON_THROW_ON_ERROR), 'length_ms' => $programme->lengthMs, 'follow_key' => bin2hex(random_bytes(16)), 'starter_id' => $user->id(), 'started_ms' => $now]);
                $id = (int) $this->connection->lastInsertId();
                $this->programmes->keep($id, 1, $programme);
                $this->walls->show($id, $request->walls ?? array_map(static fn (Wall $wall): int => $wall->id, $this->walls->all()));
                $this->audit->add($user->id(), 'run.started', \sprintf('started “%s”', $name), 'run/'.$id);
            });
        } catch (UniqueConstraintViolationException) {
            // The same press came in twice at the same moment.
            return $this->select('r.start_key = ?', [$request->id])[0];
        }
        $this->prepare(WallSerializer::spoken($programme));
        foreach ($this->walls->showing($id) as $wall) {
            $this->push->changed($wall->key);
        }

        return $this->get($id);
    }

    /** @throws ApiProblem while it runs */
    public function remove(int $id, User $by): void
    {
        $run = $this->get($id);
        if (null === $run->endedMs) {
            throw new ApiProblem(409, 'not-now', 'This session is running. End it first.');
        }
        $this->connection->transactional(function () use ($run, $by): void {
            $this->connection->delete('run', ['id' => $run->id]);
            $this->audit->add($by->id(), 'run.removed', \sprintf('deleted the record of “%s”', $run->name), 'runs');
        });
    }

    /** @param list<int> $walls that show it from now on, besides those that do */
    public function show(int $id, array $walls): Run
    {
        $run = $this->get($id);
        $this->walls->show($id, $walls);
        foreach ($walls as $wall) {
            $this->push->changed($this->walls->get($wall)->key);
        }

        return $run;
    }

    /**
     * @param User|Wall $by whoever gives it
     *
     * @throws ApiProblem when it makes no sense now
     */
    public function command(int $id, CommandRequest $request, User|Wall $by): Run
    {
        $changed = false;
        $spoken = [];
        $this->connection->transactional(function () use ($id, $request, $by, &$changed, &$spoken): void {
            $run = $this->locked($id);
            if (false !== $this->connection->fetchOne('SELECT 1 FROM run_command WHERE run_id = ? AND command_key = ?', [$id, $request->id])) {
                return;
            }
            $now = $this->now();
            if (null !== $request->givenMs && $now - $request->givenMs > self::LATE) {
                // Given at a wall while the server was away: what a coach did since counts more.
                if ($run->revision > $request->seen) {
                    return;
                }
                $now = max($request->givenMs, $this->lastChange($run));
            }
            $amendments = $this->amendments($id);
            $content = $this->content($id);
            $programme = $this->programmes->build($content, $amendments);
            $with = null === $request->chain ? null : Programmes::combination($request->chain, $programme->plan, id: $request->combinationId) ?? throw new ApiProblem(422, 'invalid', \sprintf('“%s” cannot be read in the numbers of this session.', $request->chain));
            try {
                $change = (new Commands($programme))->after($run->state, new RunCommand($request->id, $request->kind, $request->toMs, $request->track, $request->combination, $with), $now);
            } catch (CommandRefused $refused) {
                // Whoever ends what has ended has what they want.
                if (CommandKind::End === $request->kind) {
                    return;
                }
                throw new ApiProblem(409, 'not-now', $refused->getMessage());
            }
            $target = mb_strimwidth($change->target, 0, 400);
            if (false !== $this->connection->fetchOne('SELECT 1 FROM run_command WHERE run_id = ? AND revision > ? AND kind = ? AND target = ?', [$id, $request->seen, $request->kind->value, $target])) {
                return;
            }
            $amendment = null === $change->amendment ? null : Programmes::stored($change->amendment);
            $version = $run->programme;
            $state = $change->state;
            if (null !== $amendment) {
                if ($version >= self::MAX_VERSIONS) {
                    throw new ApiProblem(
                        409,
                        'not-now',
                        \sprintf(
                            'This session was changed %d times, which is as often as one can be. End it and start another.',
                            self::MAX_VERSIONS,
                        ),
                    );
                }
                $programme = $this->programmes->build($content, [...$amendments, $amendment]);
                $this->programmes->keep($id, ++$version, $programme);
                $state = (new Commands($programme))->goingOn($state, $state->stands($now) ? $state->position($now) - 1 : $state->position($now));
            }
            $this->connection->insert('run_command', ['run_id' => $id, 'revision' => $run->revision + 1, 'command_key' => $request->id, 'kind' => $request->kind->value, 'target' => $target, 'amendment' => null === $amendment ? null : json_encode($amendment, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE), 'given_ms' => $now, 'left_ms' => $run->state->position($now), 'came_ms' => $state->position($now), 'user_id' => $by instanceof User ? $by->id() : null, 'wall_id' => $by instanceof Wall ? $by->id : null]);
            $this->connection->update('run', ['state' => json_encode($state->toArray(), \JSON_THROW_ON_ERROR), 'revision' => $run->revision + 1, 'programme' => $version, 'length_ms' => $programme->lengthMs, 'ended_ms' => $state->endedMs], ['id' => $id]);
            $spoken = null === $amendment ? [] : WallSerializer::spoken($programme);
            $changed = true;
        });
        // Without the lock: nobody's next press waits for a voice.
        $this->prepare($spoken);
        $run = $this->get($id);
        if ($changed) {
            $this->tell($run);
        }
        if ($changed && null !== $run->endedMs) {
            $this->observed($run);
        }

        return $run;
    }

    /**
     * What a wall has shown; what is known already is left as it is.
     *
     * @throws ApiProblem when the wall has never shown that session, or says more of it than any session has
     */
    public function shown(ShownRequest $request, Wall $wall): void
    {
        if (!$this->walls->hasShown($wall, $request->run)) {
            throw new ApiProblem(404, 'not-found', 'This screen has not shown that session.');
        }
        $run = $this->get($request->run);
        $known = $this->connection->fetchOne('SELECT COUNT(*) FROM run_shown WHERE run_id = ?', [$run->id]);
        if ((is_numeric($known) ? (int) $known : 0) + \count($request->shown) > self::MOST_SHOWN) {
            throw new ApiProblem(409, 'too-many', 'No session shows so much.');
        }
        $passages = $this->passages($run->id);
        $cues = $this->programmes->cues($run->id);
        [$from, $to] = [$run->startedMs - self::CLOCK_ERROR_MS, ($run->endedMs ?? $this->now()) + self::CLOCK_ERROR_MS];
        $new = 0;
        foreach ($request->shown as $one) {
            // What the programme has no cue for, or was shown while the session did not run, was not shown.
            if (!isset($cues[$one['cue']]) || $one['atMs'] < $from || $one['atMs'] > $to) {
                continue;
            }
            $passages[$one['passage']] ??= \count($passages) < self::MAX_PASSAGES;
            if ($passages[$one['passage']]) {
                $new += (int) $this->connection->executeStatement(
                    'INSERT IGNORE INTO run_shown (run_id, passage, cue, shown_ms, wall_id) VALUES (?, ?, ?, ?, ?)',
                    [$run->id, $one['passage'], $one['cue'], $one['atMs'], $wall->id],
                );
            }
        }
        if ($new > 0 && null !== $run->endedMs) {
            $this->observed($run);
        }
    }

    /**
     * Passages of which something was shown, and those that a command began.
     *
     * @return array<string, bool> whether more of each is taken, by its id
     */
    private function passages(int $id): array
    {
        $ids = [
            ...$this->connection->fetchFirstColumn('SELECT DISTINCT passage FROM run_shown WHERE run_id = ?', [$id]),
            ...$this->connection->fetchFirstColumn('SELECT command_key FROM run_command WHERE run_id = ?', [$id]),
        ];

        return array_fill_keys(array_filter($ids, \is_string(...)), true);
    }

    /**
     * What was really shown and done, in order: what the logbook takes.
     *
     * @return array<string, mixed>
     */
    public function record(int $id): array
    {
        $run = $this->get($id);
        /** @var list<array{passage: string, cue: string, shown_ms: int|string, wall: string|null}> $shown */
        $shown = $this->connection->fetchAllAssociative('SELECT s.passage, s.cue, s.shown_ms, w.name AS wall FROM run_shown s LEFT JOIN wall w ON w.id = s.wall_id WHERE s.run_id = ? ORDER BY s.shown_ms, s.cue', [$id]);
        /** @var list<array{kind: string, given_ms: int|string, amendment: string|null, user: string|null, wall: string|null}> $commands */
        $commands = $this->connection->fetchAllAssociative('SELECT c.kind, c.given_ms, c.amendment, u.name AS user, w.name AS wall FROM run_command c LEFT JOIN user u ON u.id = c.user_id LEFT JOIN wall w ON w.id = c.wall_id WHERE c.run_id = ? ORDER BY c.revision', [$id]);
        $cues = $this->programmes->cuesByVersion($id);
        $changes = array_values(array_filter($commands, static fn (array $row): bool => null !== $row['amendment']));
        // Which programme was played when it was shown: each change of it made the next.
        $cue = static function (string $key, int $shownMs) use ($cues, $changes): array {
            $version = 1 + \count(array_filter(
                $changes,
                static fn (array $change): bool => (int) $change['given_ms'] <= $shownMs,
            ));
            while ($version > 1 && !isset($cues[$version][$key])) {
                --$version;
            }
            $cue = $cues[$version][$key] ?? null;

            return [
                'kind' => $cue['kind'] ?? null,
                'text' => $cue['text'] ?? null,
                'stands' => $cue['stands'] ?? false,
                'track' => $cue['track'] ?? null,
            ];
        };

        return [
            'run' => $run->toArray($this->now()),
            'commands' => array_map(static fn (array $row): array => ['kind' => $row['kind'], 'atMs' => (int) $row['given_ms'], 'by' => $row['user'] ?? $row['wall'] ?? '', 'chain' => self::chain($row['amendment'])], $commands),
            'shown' => array_map(
                static fn (array $row): array => [
                    'passage' => $row['passage'],
                    'cue' => $row['cue'],
                    'atMs' => (int) $row['shown_ms'],
                    ...$cue($row['cue'], (int) $row['shown_ms']),
                    'wall' => $row['wall'],
                ],
                $shown,
            ),
        ];
    }

    /**
     * What was really drilled in it.
     *
     * @return array{list<Drilled>, int} with the work in ms
     */
    public function drilled(Run $run): array
    {
        return $this->work->of($run, $this->content($run->id), $this->amendments($run->id));
    }

    /** @return list<Run> all that ended after that moment, the earliest first */
    public function endedSince(int $ms): array
    {
        return $this->select('r.ended_ms >= ? ORDER BY r.ended_ms, r.id', [$ms]);
    }

    /** @return mixed the chains of its programme as an athlete reads them */
    public function chainsIn(int $id, int $version, Numbering $numbering): mixed
    {
        $programme = $this->programmes->build(
            $this->content($id),
            \array_slice($this->amendments($id), 0, $version - 1),
        );

        return WallSerializer::of($programme, $numbering)['chains'];
    }

    private function tell(Run $run): void
    {
        $this->push->run($run->followKey, $run->forScreens());
        foreach ($this->walls->showing($run->id) as $wall) {
            $this->push->run($wall->key, $run->forScreens());
        }
    }

    /** A session that is over and that nobody ended ends by itself, at the moment at which it was over. */
    private function endWhenOver(Run $run): void
    {
        $over = $run->state->timeOf($run->lengthMs);
        if (null === $run->state->pausedMs && null === $run->state->holdMs && $this->now() > $over + self::GRACE) {
            $this->connection->executeStatement('UPDATE run SET ended_ms = ?, state = ?, revision = revision + 1 WHERE id = ? AND revision = ? AND ended_ms IS NULL', [$over, json_encode($run->state->ended($over)->toArray(), \JSON_THROW_ON_ERROR), $run->id, $run->revision]);
            $this->observed($this->get($run->id));
        }
    }

    /** What goes wrong there spoils nothing here: whoever observes looks for what it missed. */
    private function observed(Run $run): void
    {
        foreach ($this->observers as $observer) {
            try {
                $observer->ended($run);
            } catch (\Exception $failed) {
                $this->logger->error('The end of a session was not taken in: '.$failed->getMessage());
            }
        }
    }

    /**
     * A clip that cannot be made is missed by the walls, and stops no session.
     *
     * @param list<string> $texts
     */
    private function prepare(array $texts): void
    {
        try {
            $this->clips->prepare($texts);
        } catch (\RuntimeException $failed) {
            $this->logger->error('Calls could not be spoken: '.$failed->getMessage());
        }
    }

    /** @return list<StoredAmendment> */
    private function amendments(int $id): array
    {
        /** @var list<string> $rows */
        $rows = $this->connection->fetchFirstColumn('SELECT amendment FROM run_command WHERE run_id = ? AND amendment IS NOT NULL ORDER BY revision', [$id]);

        return array_map(static function (string $row): array {
            /** @var StoredAmendment $amendment */
            $amendment = json_decode($row, true, flags: \JSON_THROW_ON_ERROR);

            return $amendment;
        }, $rows);
    }

    private static function chain(?string $amendment): ?string
    {
        /** @var array{chain: string|null}|null $row */
        $row = null === $amendment ? null : json_decode($amendment, true, flags: \JSON_THROW_ON_ERROR);

        return $row['chain'] ?? null;
    }

    /** @return array<mixed> the plan as it was when the session was started */
    private function content(int $id): array
    {
        $stored = $this->connection->fetchOne('SELECT content FROM run WHERE id = ?', [$id]);
        $content = json_decode(\is_string($stored) ? $stored : '{}', true, flags: \JSON_THROW_ON_ERROR);

        return \is_array($content) ? $content : [];
    }

    /** When its last command was given, ms. */
    private function lastChange(Run $run): int
    {
        $last = $this->connection->fetchOne('SELECT MAX(given_ms) FROM run_command WHERE run_id = ?', [$run->id]);

        return is_numeric($last) ? (int) $last : $run->startedMs;
    }

    private function locked(int $id): Run
    {
        return $this->select('r.id = ? FOR UPDATE', [$id])[0] ?? throw new ApiProblem(404, 'not-found', 'There is no such session that runs.');
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<Run>
     */
    private function select(string $where, array $values): array
    {
        /** @var list<array{id: int|string, plan_id: int|string|null, name: string, state: string, revision: int|string, programme: int|string, length_ms: int|string, follow_key: string, starter_id: int|string, starter: string, started_ms: int|string, ended_ms: int|string|null}> $rows */
        $rows = $this->connection->fetchAllAssociative(self::SELECT.' WHERE '.$where, $values);

        return array_map(static function (array $row): Run {
            /** @var array{zeroMs: int, passage: string, pausedMs: int|null, endedMs: int|null, speed: int, holdMs: int|null} $state */
            $state = json_decode($row['state'], true, flags: \JSON_THROW_ON_ERROR);

            return new Run(
                (int) $row['id'],
                null === $row['plan_id'] ? null : (int) $row['plan_id'],
                $row['name'],
                RunState::of($state),
                (int) $row['revision'],
                (int) $row['programme'],
                (int) $row['length_ms'],
                $row['follow_key'],
                ['id' => (int) $row['starter_id'], 'name' => $row['starter']],
                (int) $row['started_ms'],
                null === $row['ended_ms'] ? null : (int) $row['ended_ms'],
            );
        }, $rows);
    }
}
