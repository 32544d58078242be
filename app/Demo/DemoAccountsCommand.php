<?php

declare(strict_types=1);

namespace Periplus\App\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** Lists the demo accounts that still have the published demo password. */
#[AsCommand('gym:demo-accounts', 'List the demo accounts whose password was not changed')]
final class DemoAccountsCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly UserPasswordHasherInterface $hasher,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        /** @var list<array{email: string, password: string}> $rows */
        $rows = json_decode(
            (string) file_get_contents(DemoCommand::FOLDER.'/coaches.json'),
            true,
            flags: \JSON_THROW_ON_ERROR,
        );
        foreach ($rows as $row) {
            $user = $this->entities->getRepository(User::class)->findOneBy([
                'email' => $row['email'],
                'active' => true,
            ]);
            if (null !== $user && $this->hasher->isPasswordValid($user, $row['password'])) {
                $output->writeln(\sprintf(
                    '  %-12s %-26s %s',
                    strtr($user->role()->word(), '-', ' '),
                    $row['email'],
                    $row['password'],
                ));
            }
        }

        return Command::SUCCESS;
    }
}
