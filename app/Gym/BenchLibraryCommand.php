<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\DBAL\Connection;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Combination\Voice;
use Periplus\Core\Flow\Check;
use Periplus\Core\Flow\Circumstances;
use Periplus\Core\Flow\HouseRules;
use Periplus\Core\Flow\School\LeadHook;
use Periplus\Core\Flow\School\Schools;
use Periplus\Core\Notation\Scheme;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Fills an empty library with chains of eight items and measures the pass over it under changed house rules. */
#[AsCommand('gym:bench-library', 'Measure the pass over a large library; only on an empty database')]
final class BenchLibraryCommand extends Command
{
    private const ITEMS = 8;
    private const ROWS = 500;

    public function __construct(private readonly Connection $connection, private readonly Rechecks $rechecks, private readonly Check $check)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('combinations', InputArgument::OPTIONAL, 'How many', '20000');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $count = $input->getArgument('combinations');
        $count = is_numeric($count) ? max(1, (int) $count) : 20_000;
        if (false !== $this->connection->fetchOne('SELECT 1 FROM combination LIMIT 1')) {
            $output->writeln('This library is not empty; bin/periplus bench-library makes one of its own.');

            return Command::FAILURE;
        }
        $this->connection->insert('user', ['email' => 'bench@saltworks.example', 'name' => 'Bench', 'role' => 'ROLE_HEAD_COACH', 'password' => '-']);
        $user = (int) $this->connection->lastInsertId();
        $this->fill($count, $user);
        memory_reset_peak_usage();

        $start = microtime(true);
        $recheck = $this->rechecks->start(HouseRules::named('kickboxing')->inSchools(new Schools(LeadHook::FrontFoot)), $user);
        while (RecheckState::Running === $recheck->state) {
            $recheck = $this->rechecks->advance($recheck->id, 0.6);
        }
        $pass = microtime(true) - $start;
        $changes = array_sum(array_column($this->rechecks->found($recheck)['changes'], 'count'));
        $before = $this->verdicts();
        $start = microtime(true);
        $this->rechecks->save($recheck->id, $user);
        $save = microtime(true) - $start;
        $changed = \count(array_diff_assoc($this->verdicts(), $before));

        $output->writeln(\sprintf('%d combinations of %d items:', $count, self::ITEMS));
        $output->writeln(\sprintf('  pass %.1f s, %d a second; save %.2f s; %.0f MB at most', $pass, $count / $pass, $save, memory_get_peak_usage() / 2 ** 20));
        $output->writeln(\sprintf('  %d change their verdict in the preview, %d after the save', $changes, $changed));

        return $changes === $changed ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string> by id */
    private function verdicts(): array
    {
        /** @var array<string> $verdicts */
        $verdicts = $this->connection->fetchAllKeyValue('SELECT id, verdict FROM combination');

        return $verdicts;
    }

    private function fill(int $count, int $user): void
    {
        $dice = new Randomizer(new Mt19937(1));
        $catalogue = Catalogue::builtIn();
        $strikes = array_values($catalogue->strikes);
        $moves = array_values($catalogue->moves);
        $writer = new Writer(Scheme::named('parity'));
        $circumstances = new Circumstances(HouseRules::named('kickboxing'));
        for ($made = 0; $made < $count; $made += self::ROWS) {
            $values = [];
            $rows = min(self::ROWS, $count - $made);
            for ($row = 0; $row < $rows; ++$row) {
                $items = [];
                while (\count($items) < self::ITEMS) {
                    $strike = $strikes[$dice->getInt(0, \count($strikes) - 1)];
                    $items[] = 0 === $dice->getInt(0, 3) ? new MoveItem($moves[$dice->getInt(0, \count($moves) - 1)]) : new StrikeItem($strike, $strike->targets[$dice->getInt(0, \count($strike->targets) - 1)]);
                }
                $voice = new Voice(Chain::of($items), Stance::Orthodox);
                $report = $this->check->run($voice, $circumstances);
                $fingerprint = Fingerprint::of($voice->chain);
                array_push($values, 'Number '.($made + $row), $writer->write($voice), $report->verdict->value, (int) round($report->ledger->length()), $fingerprint->plain, $fingerprint->withEffort, $user, $user);
            }
            $this->connection->executeStatement(
                'INSERT INTO combination (name, notation, verdict, length_ms, fingerprint, fingerprint_with_effort, author_id, editor_id, stance, rules, themes, level, note, words, weapons, created_at, updated_at) VALUES '
                .implode(', ', array_fill(0, $rows, "(?, ?, ?, ?, ?, ?, ?, ?, 'orthodox', 'kickboxing', '[]', 1, '', '', ',hand,', NOW(), NOW())")),
                $values,
            );
        }
    }
}
