<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\App\Account\Accounts;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationIndices;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Gym\Gyms;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Recomputes all stored check results; bin/start runs it with the digest of the core, when that has changed. */
#[AsCommand('gym:recheck', 'Check the whole library anew under the house rules as they are')]
final class RecheckCommand extends Command
{
    public function __construct(
        private readonly Accounts $accounts,
        private readonly Gyms $gyms,
        private readonly RulePreviews $previews,
        private readonly CombinationIndices $indices,
        private readonly DraftReader $drafts,
        private readonly Library $library,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('core', null, InputOption::VALUE_REQUIRED, 'Digest of the core, remembered once all is done');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $head = $this->accounts->firstHeadCoach()?->id();
        if (null === $head) {
            $output->writeln('There is no head coach yet, and so no library.');
            $this->remember($input);

            return Command::SUCCESS;
        }
        foreach (BuiltInHouseRules::ids() as $set) {
            $output->writeln(\sprintf('%s: %d verdicts changed.', $set, $this->previews->refresh($set, $head)));
        }
        $this->indices->refill(
            fn (CombinationContent $content): CheckSummary => $this->library->checked(
                $this->drafts->fromContent($content),
            ),
        );
        $this->remember($input);

        return Command::SUCCESS;
    }

    private function remember(InputInterface $input): void
    {
        $core = $input->getOption('core');
        if (\is_string($core)) {
            $this->gyms->checkedBy($core);
        }
    }
}
