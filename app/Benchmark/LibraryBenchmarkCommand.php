<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\RulePreview\RulePreviews;
use Periplus\App\RulePreview\RulePreviewState;
use Periplus\App\Security\GymRole;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\LeadHook;
use Periplus\Core\HouseRules\Schools;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Fills an empty library with chains of eight items and measures a recheck under changed house rules. */
#[AsCommand('benchmark:library', 'Measure the pass over a large library; only on an empty database')]
final class LibraryBenchmarkCommand extends Command
{
    private const ITEMS = 8;

    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly CombinationTable $table,
        private readonly RulePreviews $previews,
        private readonly GeneratedChains $chains,
    ) {
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
        if (0 !== $this->table->count()) {
            $output->writeln('This library is not empty; bin/periplus benchmark library makes one of its own.');

            return Command::FAILURE;
        }
        $this->entities->persist($coach = new User('bench@saltworks.example', 'Bench', GymRole::HeadCoach));
        $this->entities->flush();
        $user = $coach->id();
        $this->chains->fill($count, self::ITEMS, self::ITEMS, $user);
        memory_reset_peak_usage();

        $start = microtime(true);
        $preview = $this->previews->start(
            BuiltInHouseRules::named('kickboxing')->inSchools(new Schools(LeadHook::FrontFoot)),
            $user,
        );
        while (RulePreviewState::Running === $preview->state()) {
            $preview = $this->previews->advance($preview->id(), 0.6);
        }
        $pass = microtime(true) - $start;
        $changes = \count($this->previews->changed($preview));
        $before = $this->verdicts();
        $start = microtime(true);
        $this->previews->save($preview->id(), $user);
        $save = microtime(true) - $start;
        $changed = \count(array_diff_assoc($this->verdicts(), $before));

        $output->writeln(\sprintf('%d combinations of %d items:', $count, self::ITEMS));
        $output->writeln(
            \sprintf(
                '  pass %.1f s, %d a second; save %.2f s; %.0f MB at most',
                $pass,
                $count / $pass,
                $save,
                memory_get_peak_usage() / 2 ** 20,
            ),
        );
        $output->writeln(\sprintf('  %d change their verdict in the preview, %d after the save', $changes, $changed));

        return $changes === $changed ? Command::SUCCESS : Command::FAILURE;
    }

    /** @return array<string> by id */
    private function verdicts(): array
    {
        $verdicts = [];
        for ($last = 0; [] !== ($summaries = $this->table->after($last, 1000));) {
            foreach ($summaries as $summary) {
                $verdicts[$last = $summary->id] = $summary->verdict->value;
            }
        }

        return $verdicts;
    }
}
