<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Changes what the directory says of a gym, and waits until every web server knows. */
#[AsCommand('directory:change', 'Change the state of a gym, the server of its database, or its group')]
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
            ->addOption('group', null, InputOption::VALUE_REQUIRED, 'Gyms of a group share what they offer; - for none')
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
        $group = $input->getOption('group');
        if (\is_string($group)) {
            $gym->join('-' === $group ? null : mb_substr($group, 0, HostedGym::MAX_GROUP_LENGTH));
        }
        $this->gyms->store($gym);
        // Each web server has copies of the directory that are at most so old; clocks have whole seconds.
        sleep(Lookup::FRESH_SECONDS + 1);

        return Command::SUCCESS;
    }
}
