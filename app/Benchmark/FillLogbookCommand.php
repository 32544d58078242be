<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

use Periplus\App\Account\Accounts;
use Periplus\App\Logbook\LogbookFill;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Fills the logbook for measurements. */
#[AsCommand('gym:fill-logbook', 'Put invented sessions of ten years into the logbook; for measurements only')]
final class FillLogbookCommand extends Command
{
    public function __construct(private readonly Accounts $accounts, private readonly LogbookFill $fill)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('drilled', InputArgument::REQUIRED, 'How many drilled combinations there are to be');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $user = $this->accounts->findOneBy([], ['id' => 'ASC']);
        $count = $input->getArgument('drilled');
        if (null === $user || !is_numeric($count)) {
            $output->writeln('Give a number, and load the demo gym first.');

            return Command::FAILURE;
        }
        $this->fill->fill((int) $count, $user->id());

        return Command::SUCCESS;
    }
}
