<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Periplus\App\Account\Accounts;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\LibraryLock;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Fills the library for measurements. */
#[AsCommand('gym:fill', 'Put invented combinations into the library; for measurements only')]
final class FillCommand extends Command
{
    public function __construct(
        private readonly Accounts $accounts,
        private readonly CombinationTable $table,
        private readonly GeneratedChains $chains,
        private readonly LibraryLock $lock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('combinations', InputArgument::REQUIRED, 'How many there are to be');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $user = $this->accounts->findOneBy([], ['id' => 'ASC']);
        $count = $input->getArgument('combinations');
        if (null === $user || !is_numeric($count)) {
            $output->writeln('Give a number, and load the demo gym first.');

            return Command::FAILURE;
        }
        $this->chains->fill(max(0, (int) $count - $this->table->count()), 2, 9, $user->id());
        // Cached search results are no longer valid.
        $this->lock->take();

        return Command::SUCCESS;
    }
}
