<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Adds a gym to the directory of an installation with several; bin/periplus gym create makes its database. */
#[AsCommand('directory:add', 'Add a gym to the directory')]
final class AddGymCommand extends Command
{
    /** Databases beside those of the gyms have these names. */
    private const RESERVED = ['before', 'benchmark', 'copy', 'directory', 'incoming', 'next', 'test'];

    public function __construct(private readonly HostedGyms $gyms, private readonly ClockInterface $clock)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'Lower case letters and digits')
            ->addArgument('host', InputArgument::REQUIRED, 'The host name by which it is asked for')
            ->addOption('group', null, InputOption::VALUE_REQUIRED, 'Gyms of one group share what they offer')
            ->addOption('server', null, InputOption::VALUE_REQUIRED, 'host:port of its database, where it is another');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$name, $host] = [self::text($input->getArgument('name')), self::text($input->getArgument('host'))];
        [$group, $server] = [$input->getOption('group'), $input->getOption('server')];
        $problem = match (true) {
            1 !== preg_match(HostedGym::NAME, $name) => 'The name of a gym has 1 to 30 lower case letters and digits, '
                .'and begins with a letter.',
            \in_array($name, self::RESERVED, true) => \sprintf('No gym can have the name “%s”. Choose another.', $name),
            1 !== preg_match(HostedGym::HOST, $host) => \sprintf('“%s” is not a host name in lower case.', $host),
            null !== $this->gyms->named($name) => \sprintf('There is a gym “%s” already.', $name),
            null !== $this->gyms->withHost($host) => \sprintf('Another gym is asked for as %s already.', $host),
            mb_strlen(self::text($group)) > HostedGym::MAX_GROUP_LENGTH => \sprintf(
                'The name of a group has at most %d characters.',
                HostedGym::MAX_GROUP_LENGTH,
            ),
            default => null,
        };
        if (null !== $problem) {
            $output->writeln($problem);

            return Command::FAILURE;
        }
        $this->gyms->store(new HostedGym(
            $name,
            $host,
            null === $group ? null : self::text($group),
            null === $server ? null : self::text($server),
            $this->clock->now(),
        ));

        return Command::SUCCESS;
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
