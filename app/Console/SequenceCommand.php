<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Serializer\ChainToOrder;
use Periplus\Core\Session\Serializer\SequenceSerializer;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Orders chains from standard input, one a line, so that each shares much with the one before. Exit code 2 when one
 * cannot be read.
 */
#[AsCommand('sequence', 'Put combinations into an order')]
final class SequenceCommand extends Command
{
    private const UNREADABLE = 2;

    protected function configure(): void
    {
        $this
            ->addOption('rules', null, InputOption::VALUE_REQUIRED, 'boxing, kickboxing or all-limbs', 'all-limbs')
            ->addOption('numbering', null, InputOption::VALUE_REQUIRED, 'parity, body-pairs, six or hands', 'parity')
            ->addOption('json', null, InputOption::VALUE_NONE, 'Print JSON');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $lines = explode("\n", rtrim((string) stream_get_contents(\STDIN), "\r\n"));
        $lines = [''] === $lines ? [] : $lines;
        $given = static function (string $name) use ($input): string {
            $value = $input->getOption($name);

            return \is_string($value) ? $value : '';
        };
        try {
            $document = (new SequenceSerializer(Reader::builtIn(), Check::builtIn()))->serialize(
                array_map(
                    static fn (string $line): ChainToOrder => new ChainToOrder(trim($line), Stance::Orthodox),
                    $lines,
                ),
                Numbering::named($given('numbering')),
                new CheckOptions(BuiltInHouseRules::named($given('rules'))),
            );
        } catch (\OutOfBoundsException $mistake) {
            $output->writeln($mistake->getMessage());

            return self::UNREADABLE;
        }
        if (true === $input->getOption('json')) {
            $output->writeln(
                json_encode($document, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_INVALID_UTF8_SUBSTITUTE),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            foreach ($document->problems as $problem) {
                $output->writeln($problem->message, OutputInterface::OUTPUT_RAW);
            }
            foreach ($document->order as $index => $line) {
                $output->writeln(
                    \sprintf('%4s  %s', 0 === $index ? '' : $document->steps[$index - 1], trim($lines[$line])),
                    OutputInterface::OUTPUT_RAW,
                );
            }
        }

        return [] === $document->problems ? Command::SUCCESS : self::UNREADABLE;
    }
}
