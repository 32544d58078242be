<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Lists the gyms of an installation with several, one a line, with tabs between. */
#[AsCommand('directory:list', 'List the gyms of the directory')]
final class ListGymsCommand extends Command
{
    public function __construct(private readonly HostedGyms $gyms)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach ($this->gyms->all() as $gym) {
            $place = $gym->place();
            $output->writeln(implode("\t", [
                $gym->name(),
                $place->host,
                $gym->state()->value,
                $gym->group() ?? '-',
                $place->server ?? '-',
                $gym->createdAt()->format('Y-m-d'),
            ]));
        }

        return Command::SUCCESS;
    }
}
