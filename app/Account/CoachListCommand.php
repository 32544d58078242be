<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

use function Periplus\Core\Language\t;

/** Lists the accounts of the gym. */
#[AsCommand('coach:list', 'List the coaches with their role and last sign-in')]
final class CoachListCommand extends Command
{
    public function __construct(private readonly EntityManagerInterface $entities)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $table = (new Table($output))->setStyle('compact')->setHeaders([
            t('Name'),
            'E-mail',
            t('Role'),
            'Last sign-in (UTC)',
        ]);
        foreach ($this->entities->getRepository(User::class)->findBy([], ['name' => 'ASC']) as $user) {
            $table->addRow([
                $user->name(),
                $user->getUserIdentifier(),
                strtr($user->role()->word(), '-', ' ').($user->isActive() ? '' : ', blocked'),
                $user->lastSignIn()?->format('Y-m-d H:i') ?? 'never',
            ]);
        }
        $table->render();

        return Command::SUCCESS;
    }
}
