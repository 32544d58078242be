<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('gym:summary', 'Print what the gym holds as one line of JSON')]
final class GymSummaryCommand extends Command
{
    public function __construct(private readonly GymSummary $summary)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $output->writeln(json_encode($this->summary->read(), \JSON_THROW_ON_ERROR), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
