<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Says in the directory what may be done with a gym, or where its database is, and waits until everybody knows. */
#[AsCommand('directory:change', 'Change the state of a gym, or the server of its database')]
final class ChangeGymCommand extends Command
{
    public function __construct(private readonly HostedGyms $gyms)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'The gym')
            ->addOption('state', null, InputOption::VALUE_REQUIRED, 'serves, read-only or archived')
            ->addOption('server', null, InputOption::VALUE_REQUIRED, 'host:port, or - for that of the installation');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $name = $input->getArgument('name');
        $gym = $this->gyms->named(\is_string($name) ? $name : '');
        if (null === $gym) {
            $output->writeln('There is no such gym.');

            return Command::FAILURE;
        }
        $state = $input->getOption('state');
        if (\is_string($state)) {
            $gym->become(HostedState::from($state));
        }
        $server = $input->getOption('server');
        if (\is_string($server)) {
            $gym->moveTo('-' === $server ? null : $server);
        }
        $this->gyms->store($gym);
        // Each web server has copies of the directory that are at most so old; clocks have whole seconds.
        sleep(Lookup::FRESH_SECONDS + 1);

        return Command::SUCCESS;
    }
}
