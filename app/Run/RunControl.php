<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\Combinations;
use Periplus\App\Plan\Plans;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Once;
use Periplus\App\Voice\Clips;
use Periplus\App\Wall\Push;
use Periplus\App\Wall\Wall;
use Periplus\App\Wall\Walls;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Run\ClockCommands;
use Periplus\Core\Session\Run\CommandKind;
use Periplus\Core\Session\Run\CommandRefused;
use Periplus\Core\Session\Run\Commands;
use Periplus\Core\Session\Run\RoundTimer;
use Periplus\Core\Session\Run\RunChange;
use Periplus\Core\Session\Run\RunCommand;
use Periplus\Core\Session\Run\RunState;
use Periplus\Core\Session\Run\TimerCombination;
use Periplus\Core\Session\Wall\WallSerializer;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

use function Periplus\Core\Language\t;

/**
 * Starts and controls running sessions. Commands of one session are applied one after the other under a lock; each
 * increments its revision. A repeated command returns its earlier result, and one that repeats what was done since the
 * revision its coach saw changes nothing.
 */
final readonly class RunControl
{
    private const MAX_RUNNING = 12;
    /** Maximum number of programme versions of one session. */
    private const MAX_VERSIONS = 120;
    /** Delay in ms from which a command counts as given while the server was unreachable. */
    private const LATE_MS = 3000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Runs $runs,
        private Plans $plans,
        private Combinations $combinations,
        private Programmes $programmes,
        private RunWork $work,
        private Walls $walls,
        private Clips $clips,
        private Push $push,
        private Once $once,
        private Accounts $accounts,
        private AuditLog $audit,
        private ManagerRegistry $registry,
        private LoggerInterface $logger,
        private Reader $reader,
        /** @var iterable<RunObserver> */
        #[AutowireIterator(RunObserver::class)]
        private iterable $observers,
    ) {
    }

    /** @return list<RunView> those that run */
    public function running(): array
    {
        foreach ($this->work->endOverdue() as $ended) {
            $this->observed($ended);
        }

        return $this->runs->going();
    }

    public function start(StartRequest $request, User $user): RunView
    {
        $find = fn (): ?Run => $this->runs->findOneBy(['startKey' => $request->id]);
        $started = $find();
        if (null !== $started) {
            return $started->view();
        }
        $this->runs->quota()->require();
        if (\count($this->running()) >= self::MAX_RUNNING) {
            throw new Conflict(
                'too-many',
                t('{maxRunning} sessions are running. End one of them first.', maxRunning: self::MAX_RUNNING),
            );
        }
        $plan = null === $request->plan ? null : $this->plans->get($request->plan);
        $shown = array_map($this->timed(...), null === $plan ? $request->combinations : []);
        $timer = $request->timer ?? new TimerRequest(rounds: max(1, \count($shown)));
        $content = $plan?->content() ?? RoundTimer::plan($timer->rounds, $timer->seconds, $timer->rest, $shown);
        $programme = $this->programmes->build($content);
        if (0 === $programme->lengthMs) {
            throw new Invalid(t('There is nothing in this session to run. Put a round into it first.'), type: 'empty');
        }
        $now = $this->runs->now();
        $state = ClockCommands::of($programme)->goingOn(
            new RunState($now + 1000 * $request->leadIn, $request->id, speed: $request->speed),
            -1,
        );
        $run = $this->once->store($find, function () use (
            $request,
            $user,
            $plan,
            $content,
            $shown,
            $programme,
            $now,
            $state,
        ): Run {
            $run = new Run(
                startKey: $request->id,
                plan: $plan,
                name: $plan?->name() ?? RoundTimer::name($shown),
                content: $content,
                state: $state,
                lengthMs: $programme->lengthMs,
                starter: $this->accounts->managed($user),
                startedMs: $now,
            );
            $this->entities->persist($run);
            $this->entities->flush();
            $this->programmes->keep($run, $programme);
            $this->walls->show(
                $run,
                $request->walls ?? array_map(static fn (Wall $wall): int => $wall->id(), $this->walls->all()),
            );
            $this->audit->add($user->id(), 'run.started', t('started “{run}”', run: $run->name()), 'run/'.$run->id());

            return $run;
        });
        $this->prepare(WallSerializer::spoken($programme, $this->clips->settings()->style()));
        $this->push->changed(...$this->walls->keysShowing($run->id()));

        return $run->view();
    }

    private function timed(int $id): TimerCombination
    {
        $combination = $this->combinations->get($id)->summary();
        $content = $combination->content;

        return new TimerCombination(
            $content->notation,
            $content->stance,
            $content->name,
            $id,
            $combination->version,
        );
    }

    /** @throws Conflict while it runs */
    public function remove(int $id, User $by): void
    {
        $run = $this->runs->get($id);
        if (null === $run->endedMs()) {
            throw new Conflict('not-now', t('This session is running. End it first.'));
        }
        $this->entities->wrapInTransaction(function () use ($run, $by): void {
            $this->entities->remove($run);
            $this->audit->add($by->id(), 'run.removed', t('deleted the record of “{run}”', run: $run->name()), 'runs');
        });
    }

    /** @param list<int> $walls that show it from now on, besides those that do */
    public function show(int $id, array $walls): RunView
    {
        $run = $this->runs->get($id);
        $this->walls->show($run, $walls);
        $this->push->changed(...array_map(fn (int $wall): string => $this->walls->get($wall)->key(), $walls));

        return $run->view();
    }

    /**
     * @param User|Wall $by who gives it
     *
     * @throws NotFound
     * @throws Conflict when it makes no sense now
     */
    public function command(int $id, CommandRequest $request, User|Wall $by): RunView
    {
        /**
         * @var array{
         *     RunView,
         *     bool,
         *     list<string>,
         * } $outcome what it is then, whether that is new, and what has to be spoken for it
         */
        $outcome = $this->entities->wrapInTransaction(function () use ($id, $request, $by): array {
            $run = $this->runs->hold($id);
            $spoken = $this->take($run, $request, $by);

            return [$run->view(), null !== $spoken, $spoken ?? []];
        });
        [$view, $isNew, $spoken] = $outcome;
        // Outside the lock, so that the next command does not wait for the voice.
        $this->prepare($spoken);
        if ($isNew) {
            $this->notifyScreens($view);
        }
        if ($isNew && null !== $view->endedMs) {
            $this->observed($view);
        }

        return $view;
    }

    /** Notifies the observers that a session has ended, or that a wall has reported late. */
    public function observed(RunView $ended): void
    {
        foreach ($this->observers as $observer) {
            try {
                $observer->ended($this->work->endedRun($ended));
            } catch (\Exception $failed) {
                // A failure does no harm here: observers look for sessions they missed.
                $this->registry->resetManager();
                $this->logger->error('The end of a session was not taken in: '.$failed->getMessage());
            }
        }
    }

    /** @return list<string>|null what has to be spoken for it; null when it changes nothing */
    private function take(Run $run, CommandRequest $request, User|Wall $by): ?array
    {
        $since = $this->runs->commandsSince($run, $request->seen, $request->id);
        if (isset($since[$request->id])) {
            return null;
        }
        $now = $this->runs->now();
        if (null !== $request->givenMs && $now - $request->givenMs > self::LATE_MS) {
            // Given at a wall while the server was unreachable: newer commands of a coach take precedence.
            if ($run->revision() > $request->seen) {
                return null;
            }
            $now = max($request->givenMs, $this->runs->lastChange($run));
        }
        $before = $run->state();
        $amendments = $request->kind->changesProgramme() ? $this->runs->amendments($run->id()) : [];
        try {
            $change = $this->change($run, $request, $amendments, $now);
        } catch (CommandRefused $refused) {
            // Ending a session twice is not an error.
            return CommandKind::End === $request->kind ? null : throw new Conflict('not-now', $refused->getMessage());
        }
        $target = mb_strimwidth($change->target, 0, 400);
        foreach ($since as $command) {
            if ($command->kind === $request->kind && $command->target === $target) {
                return null;
            }
        }
        $amendment = null === $change->amendment ? null : StoredAmendment::of($change->amendment);
        $programme = null === $amendment ? null : $this->amend($run, [...$amendments, $amendment]);
        $state = $change->state;
        if (null !== $programme) {
            $state = ClockCommands::of($programme)->goingOn(
                $state,
                $state->stands($now) ? $state->position($now) - 1 : $state->position($now),
            );
        }
        $run->update($state);
        $this->entities->persist(new GivenCommand(
            run: $run,
            revision: $run->revision(),
            key: $request->id,
            kind: $request->kind,
            target: $target,
            amendment: $amendment,
            givenMs: $now,
            leftMs: $before->position($now),
            cameMs: $state->position($now),
            user: $by instanceof User ? $this->accounts->managed($by) : null,
            wall: $by instanceof Wall ? $by : null,
        ));

        return null === $programme ? [] : WallSerializer::spoken($programme, $this->clips->settings()->style());
    }

    /**
     * @param list<StoredAmendment> $amendments
     *
     * @throws CommandRefused
     */
    private function change(Run $run, CommandRequest $request, array $amendments, int $now): RunChange
    {
        if (!$request->kind->changesProgramme()) {
            // The programme is not built for these commands, because that would take too long.
            return (new ClockCommands($run->lengthMs(), $this->programmes->waits($run)))
                ->after($run->state(), new RunCommand($request->id, $request->kind, $request->toMs), $now);
        }
        $programme = $this->programmes->build($run->content(), $amendments);
        $with = null === $request->chain ? null : StoredAmendment::combination(
            $request->chain,
            $programme->plan,
            $this->reader,
            id: $request->combinationId,
        )
            ?? throw new Invalid(t('“{chain}” cannot be read in the numbers of this session.', chain: $request->chain));

        return (new Commands($programme))->after(
            $run->state(),
            new RunCommand($request->id, $request->kind, $request->toMs, $request->track, $request->combination, $with),
            $now,
        );
    }

    /** @param non-empty-list<StoredAmendment> $amendments the new one among them */
    private function amend(Run $run, array $amendments): Programme
    {
        if ($run->programme() >= self::MAX_VERSIONS) {
            throw new Conflict(
                'not-now',
                t(
                    'This session was changed {maxVersions} times, which is the maximum. End it and start another.',
                    maxVersions: self::MAX_VERSIONS,
                ),
            );
        }
        $programme = $this->programmes->build($run->content(), $amendments);
        $run->amended($programme->lengthMs);
        $this->programmes->keep($run, $programme);

        return $programme;
    }

    private function notifyScreens(RunView $run): void
    {
        $this->push->run([$run->followKey, ...$this->walls->keysShowing($run->id)], new ScreenRun($run));
    }

    /**
     * A clip that cannot be made is silent on the walls; the session continues.
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
}
