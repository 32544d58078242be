<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Gym\GymKind;
use Periplus\App\Gym\Gyms;
use Periplus\App\Http\PlainText;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Founds a gym in an empty database; it has no account until its first link is used. */
#[AsCommand('gym:found', 'Found a gym in an empty database')]
final class FoundGymCommand extends Command
{
    public const MAX_NAME_LENGTH = 80;

    public function __construct(private readonly EntityManagerInterface $entities, private readonly Gyms $gyms)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::REQUIRED, 'The name of the gym');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $typed = $input->getArgument('name');
        $name = PlainText::line(\is_string($typed) ? $typed : '');
        if ('' === $name || mb_strlen($name) > self::MAX_NAME_LENGTH) {
            $output->writeln(\sprintf('The name of a gym has 1 to %d characters.', self::MAX_NAME_LENGTH));

            return Command::FAILURE;
        }
        $gym = $this->gyms->get();
        if (GymKind::Empty !== $gym->kind()) {
            $output->writeln(\sprintf('This database holds the gym “%s” already.', $gym->name()));

            return Command::FAILURE;
        }
        $gym->found($name);
        $this->entities->flush();

        return Command::SUCCESS;
    }
}
