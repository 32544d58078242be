<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Gym\GymKind;
use Periplus\App\Gym\Gyms;
use Periplus\App\Store\CurrentGym;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Prints the link for the first head coach while a gym has no account, otherwise nothing. */
#[AsCommand('gym:setup-link', 'Print the link for the first head coach, good once and for a day')]
final class SetupLinkCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Gyms $gyms,
        private readonly Accounts $accounts,
        private readonly Invitations $invitations,
        #[Autowire('%env(PERIPLUS_LINKS)%')] private readonly string $url,
        private readonly CurrentGym $current,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (GymKind::Own === $this->gyms->get()->kind() && 0 === $this->accounts->count([])) {
            $link = $this->entities->wrapInTransaction(fn (): NewLink => $this->invitations->setUp());
            $output->writeln($this->current->address($this->url).'/join#'.$link->token);
        }

        return Command::SUCCESS;
    }
}
