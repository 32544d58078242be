<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\ReturnFire\ReturnFire;
use Periplus\Core\Session\Serializer\AnswerProblem;
use Periplus\Core\Session\Serializer\AnswersDocument;
use Periplus\Core\Session\Serializer\AnswerSerializer;
use Periplus\Core\Session\Serializer\CounterDocument;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Prints the opponent's answers to a chain, the defences and the counters. Exit code 2 when it cannot be read or
 * nothing lands.
 */
#[AsCommand('answer', 'Defences and counters against the strike that ends a combination')]
final class AnswerCommand extends Command
{
    private const UNREADABLE = 2;

    protected function configure(): void
    {
        $this
            ->addArgument('chain', InputArgument::IS_ARRAY, 'The combination, in numbers or words')
            ->addOption('stance', null, InputOption::VALUE_REQUIRED, 'orthodox or southpaw', 'orthodox')
            ->addOption('rules', null, InputOption::VALUE_REQUIRED, 'boxing, kickboxing or all-limbs', 'all-limbs')
            ->addOption('numbering', null, InputOption::VALUE_REQUIRED, 'parity, body-pairs, six or hands', 'parity')
            ->addOption('tempo', null, InputOption::VALUE_REQUIRED, '1.6 learning, 1.0 working, 0.8 fast', '1.0')
            ->addOption('json', null, InputOption::VALUE_NONE, 'Print JSON');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $given = static function (string $name) use ($input): string {
            $value = $input->getOption($name);

            return \is_string($value) ? $value : '';
        };
        /** @var list<string> $words */
        $words = $input->getArgument('chain');
        try {
            $document = (new AnswerSerializer(ReturnFire::builtIn()))->serialize(
                Reader::builtIn()->readText(new ChainText(
                    implode(' ', $words),
                    Stance::tryFrom($given('stance'))
                        ?? throw new \DomainException('--stance is orthodox or southpaw.'),
                    Numbering::named($given('numbering')),
                )),
                new CheckOptions(
                    BuiltInHouseRules::named($given('rules')),
                    is_numeric($given('tempo'))
                        ? (float) $given('tempo')
                        : throw new \DomainException('--tempo is a number such as 1.0.'),
                ),
            );
        } catch (\DomainException|\OutOfBoundsException $mistake) {
            $document = new AnswersDocument([], [new AnswerProblem(0, 0, $mistake->getMessage())]);
        }
        $output->writeln(
            true === $input->getOption('json')
                ? json_encode(
                    $document,
                    \JSON_THROW_ON_ERROR
                        | \JSON_UNESCAPED_UNICODE
                        | \JSON_UNESCAPED_SLASHES
                        | \JSON_PRETTY_PRINT
                        | \JSON_INVALID_UTF8_SUBSTITUTE,
                )
                : self::text($document),
            OutputInterface::OUTPUT_RAW,
        );

        return [] === $document->problems ? Command::SUCCESS : self::UNREADABLE;
    }

    private static function text(AnswersDocument $document): string
    {
        $lines = array_column($document->problems, 'message');
        foreach ($document->answers as $answer) {
            $lines[] = \sprintf('They answer with the %s, %s:', $answer->words, $answer->opponent->value);
            foreach ($answer->defences as $defence) {
                $lines[] = \sprintf('  %s (%s)', $defence->words, $defence->why);
                $lines[] =
                    '    then '
                    .implode(
                        ', ',
                        array_map(
                            static fn (CounterDocument $counter): string => $counter->text
                                .(0 === $counter->waitMs ? '' : ' +'.$counter->waitMs),
                            $defence->counters,
                        ),
                    );
            }
        }

        return implode("\n", $lines);
    }
}
