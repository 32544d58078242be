<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Session\Plan\PlanProblem;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\PlanReading;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Serializer\SessionDocument;
use Periplus\Core\Session\Serializer\SessionSerializer;
use Periplus\Core\Session\Wall\HeardScript;
use Periplus\Core\Session\Wall\Says;
use Periplus\Core\Session\Wall\VoiceStyle;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Computes what follows from a plan, without database or web server: docs/formats/session.md. Exit code 0 when the plan
 * can run, 2 otherwise.
 */
#[AsCommand('session', 'Cues, load, warnings and problems of a plan')]
final class SessionCommand extends Command
{
    private const EXIT_PROBLEMS = 2;
    /** Maximum file size in bytes. */
    private const MAX_BYTES = 2_000_000;

    protected function configure(): void
    {
        $this
            ->addArgument('file', InputArgument::REQUIRED, 'The plan as JSON; - for standard input')
            ->addOption('json', null, InputOption::VALUE_NONE, 'Print JSON')
            ->addOption('say', null, InputOption::VALUE_NONE, 'Print what the room hears: bells, claps and voice')
            ->addOption('numbers', null, InputOption::VALUE_NONE, 'With --say: announce by numbers alone')
            ->addOption('names', null, InputOption::VALUE_NONE, 'With --say: announce by names alone');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $reading = self::reading(\is_string($file) ? $file : '');
        $document = (new SessionSerializer(new PlanReader()))->ofReading($reading);
        if (true === $input->getOption('say')) {
            $output->writeln(self::heard($reading, $input), OutputInterface::OUTPUT_RAW);

            return self::exitCode($document);
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
                : SessionText::format($document),
            OutputInterface::OUTPUT_RAW,
        );

        return self::exitCode($document);
    }

    private static function exitCode(SessionDocument $document): int
    {
        return \in_array(true, array_column($document->problems, 'stops'), true)
            ? self::EXIT_PROBLEMS
            : Command::SUCCESS;
    }

    /** Returns what the room hears, one sound a line with its time. */
    private static function heard(PlanReading $reading, InputInterface $input): string
    {
        $says = match (true) {
            true === $input->getOption('numbers') => Says::Numbers,
            true === $input->getOption('names') => Says::Names,
            default => Says::Both,
        };

        return HeardScript::write(ProgrammeBuilder::build($reading->plan), new VoiceStyle($says));
    }

    private static function reading(string $file): PlanReading
    {
        $content =
            '-' === $file
                ? (string) stream_get_contents(\STDIN)
                : (is_file($file) && is_readable($file)
                    ? (string) file_get_contents($file, length: self::MAX_BYTES + 1)
                    : null);
        $refused = static fn (string $message): PlanReading => new PlanReading(
            (new PlanReader())->read([])->plan,
            [new PlanProblem('', 'The file', $message)],
        );
        if (null === $content) {
            return $refused(\sprintf('There is no file "%s" that can be read.', mb_strimwidth($file, 0, 200, '…')));
        }
        if (\strlen($content) > self::MAX_BYTES) {
            return $refused('This file is larger than a plan can be (2 MB).');
        }
        try {
            return (new PlanReader())->read(json_decode($content, true, 64, \JSON_THROW_ON_ERROR));
        } catch (\JsonException $broken) {
            return $refused(\sprintf('This is not JSON: %s.', lcfirst($broken->getMessage())));
        }
    }
}
