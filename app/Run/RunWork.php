<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Doctrine\DBAL\Connection;
use Periplus\Core\Session\Log\Coverage;
use Periplus\Core\Session\Log\Drilled;
use Periplus\Core\Session\Log\DrilledCounter;

/**
 * What was really drilled in a session that ran: by what its walls have shown; where no wall showed it, by where its clock
 * stood at each command.
 *
 * @phpstan-import-type StoredAmendment from Programmes
 */
final readonly class RunWork
{
    public function __construct(private Connection $connection, private Programmes $programmes)
    {
    }

    /**
     * @param array<mixed> $content the plan as it was when the session was started
     * @param list<StoredAmendment> $amendments
     *
     * @return array{list<Drilled>, int} with the work in ms
     */
    public function of(Run $run, array $content, array $amendments): array
    {
        $programme = $this->programmes->build($content, $amendments);
        $elapsedMs = max(0, ($run->endedMs ?? $run->startedMs) - $run->startedMs) * $run->state->speed;
        $coverage = $this->coverage($run)->atMost($elapsedMs);

        return [DrilledCounter::of($programme, $coverage), DrilledCounter::workMs($programme, $coverage)];
    }

    private function coverage(Run $run): Coverage
    {
        /** @var list<array{passage: string, cue: string, shown_ms: int|string}> $shown */
        $shown = $this->connection->fetchAllAssociative('SELECT passage, cue, shown_ms FROM run_shown WHERE run_id = ? ORDER BY shown_ms, cue', [$run->id]);
        // A cue is named by its moment in the programme first.
        $moment = static fn (string $cue): int => (int) explode('-', $cue)[0];
        if ([] !== $shown) {
            return Coverage::ofShown(
                array_map(static fn (array $row): array => ['passage' => $row['passage'], 'cueMs' => $moment($row['cue']), 'shownMs' => (int) $row['shown_ms']], $shown),
                array_map($moment, array_keys($this->programmes->cues($run->id))),
                $run->lengthMs,
                $run->endedMs ?? \PHP_INT_MAX,
            );
        }
        /** @var list<array{left_ms: int|string, came_ms: int|string}> $commands */
        $commands = $this->connection->fetchAllAssociative('SELECT left_ms, came_ms FROM run_command WHERE run_id = ? AND left_ms IS NOT NULL ORDER BY revision', [$run->id]);
        $from = 0;
        $stretches = [];
        foreach ($commands as $row) {
            $stretches[] = [$from, (int) $row['left_ms']];
            $from = max(0, (int) $row['came_ms']);
        }
        $stretches[] = [$from, min($run->lengthMs, $run->state->position($run->endedMs ?? 0))];

        return new Coverage(array_values(array_filter($stretches, static fn (array $stretch): bool => $stretch[1] > $stretch[0])));
    }
}
