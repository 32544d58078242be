<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Store\CurrentGym;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Prints a link with which a coach sets a new password, for example when the only head coach is locked out. */
#[AsCommand('coach:link', 'Print a link for a new password, good once and for a day')]
final class CoachLinkCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Accounts $accounts,
        private readonly Invitations $invitations,
        #[Autowire('%env(PERIPLUS_LINKS)%')] private readonly string $url,
        private readonly CurrentGym $current,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('email', InputArgument::REQUIRED, 'The e-mail address the coach signs in with');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $typed = $input->getArgument('email');
        $email = EmailAddress::normalize(\is_string($typed) ? $typed : '');
        $user = $this->accounts->withEmail($email);
        if (null === $user) {
            $output->writeln(\sprintf('No coach signs in as %s. "bin/periplus coach list" names them all.', $email));

            return Command::FAILURE;
        }
        if (!$user->isActive()) {
            if (!$user->isHeadCoach()) {
                $output->writeln(\sprintf(
                    '%s is blocked. A head coach can unblock them under Gym, Coaches.',
                    $user->name(),
                ));

                return Command::FAILURE;
            }
            $user->letIn();
            $this->entities->flush();
        }
        $link = $this->entities->wrapInTransaction(fn (): NewLink => $this->invitations->rescue($user));
        $output->writeln([
            \sprintf('%s sets a new password here (good once, until tomorrow at this time):', $user->name()),
            $this->current->address($this->url).'/join#'.$link->token,
        ]);

        return Command::SUCCESS;
    }
}
