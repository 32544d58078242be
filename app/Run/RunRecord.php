<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Wall\Wall;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Wall\WallChain;
use Periplus\Core\Session\Wall\WallSerializer;

use function Periplus\Core\Language\t;

/** The record of what was really shown and done in a session: stores the reports of walls and returns them in order. */
final readonly class RunRecord
{
    /** Maximum error of a wall's clock, in ms. */
    private const CLOCK_ERROR_MS = 60_000;
    /**
     * Maximum number of passages (stretches without a jump) of one session; some come from walls without a connection
     * to the server.
     */
    private const MAX_PASSAGES = 200;
    /** Maximum number of cues stored for one session: a day of calls, repeated many times. */
    private const MAX_SHOWN = 50_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Runs $runs,
        private Programmes $programmes,
        private RunControl $control,
    ) {
    }

    /**
     * Adds the report of a wall; known cues are skipped.
     *
     * @throws NotFound when the wall has never shown that session
     * @throws Conflict when it says more of it than any session has
     */
    public function add(ShownRequest $request, Wall $wall): void
    {
        if (!$wall->hasShown($this->runs->get($request->run))) {
            throw new NotFound(t('This screen has not shown that session.'));
        }
        // Locked, because several walls report the same cues at the same time.
        $new = $this->entities->wrapInTransaction(fn (): int => $this->store(
            $this->runs->hold($request->run),
            $request,
            $wall,
        ));
        $view = $this->runs->view($request->run);
        if ($new > 0 && null !== $view->endedMs) {
            $this->control->observed($view);
        }
    }

    /** Returns what was really shown and done; the input of the logbook. */
    public function read(int $id): RunReport
    {
        $commands = $this->runs->commands($id);
        $cues = $this->programmes->cuesByVersion($id);
        $changes = array_filter($commands, static fn (GivenCommand $command): bool => null !== $command->amendment());

        return new RunReport(
            new ShownRun($this->runs->view($id), $this->runs->now()),
            array_map(
                static fn (GivenCommand $command): ReportedCommand => new ReportedCommand($command),
                $commands,
            ),
            array_map(
                fn (ShownRow $row): ReportedCue => new ReportedCue($row, $this->played($row, $cues, $changes)),
                $this->runs->shown($id),
            ),
        );
    }

    /**
     * Finds the cue in the version of the programme that was playing: each change of the programme made the next.
     *
     * @param array<int, array<string, PlayedCue>> $cues by version and key
     * @param array<int, GivenCommand> $changes
     */
    private function played(ShownRow $row, array $cues, array $changes): ?PlayedCue
    {
        $version = 1 + \count(array_filter(
            $changes,
            static fn (GivenCommand $change): bool => $change->givenMs() <= $row->shownMs,
        ));
        while ($version > 1 && !isset($cues[$version][$row->cue])) {
            --$version;
        }

        return $cues[$version][$row->cue] ?? null;
    }

    /** @return list<WallChain> the chains of its programme as an athlete reads them */
    public function chainsIn(int $id, int $version, Numbering $numbering): array
    {
        $programme = $this->programmes->build(
            $this->runs->get($id)->content(),
            \array_slice($this->runs->amendments($id), 0, $version - 1),
        );

        return WallSerializer::serialize($programme, numbering: $numbering)->chains;
    }

    /** @return int how many were not known */
    private function store(Run $run, ShownRequest $request, Wall $wall): int
    {
        if ($this->runs->countShown($run) + \count($request->shown) > self::MAX_SHOWN) {
            throw new Conflict('too-many', t('No session shows so much.'));
        }
        $cues = $this->programmes->cues($run->id());
        $known = $this->runs->shownOf($run, array_column($request->shown, 'cue'));
        $passages = array_fill_keys($this->runs->passages($run), true);
        [$from, $to] = [
            $run->startedMs() - self::CLOCK_ERROR_MS,
            ($run->endedMs() ?? $this->runs->now()) + self::CLOCK_ERROR_MS,
        ];
        $new = 0;
        foreach ($request->shown as $one) {
            $key = $one['passage'].' '.$one['cue'];
            // Cues that the programme does not have, or outside the time of the session, were not shown.
            if (isset($known[$key]) || !isset($cues[$one['cue']]) || $one['atMs'] < $from || $one['atMs'] > $to) {
                continue;
            }
            $passages[$one['passage']] ??= \count($passages) < self::MAX_PASSAGES;
            if ($passages[$one['passage']]) {
                $this->entities->persist(new ShownCue($run, $one['passage'], $one['cue'], $one['atMs'], $wall));
                $known[$key] = true;
                ++$new;
            }
        }

        return $new;
    }
}
