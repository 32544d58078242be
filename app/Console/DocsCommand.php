<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes the parts of the documentation that are generated from the code. A test fails when they are outdated. */
#[AsCommand('docs', 'Write the parts of docs/ that follow from the code')]
final class DocsCommand extends Command
{
    private const FOLDER = __DIR__.'/../../docs/';

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        foreach (self::written() as $file => $text) {
            file_put_contents(self::FOLDER.$file, $text);
            $output->writeln("docs/$file is written.");
        }

        return Command::SUCCESS;
    }

    /** @return array<string, string> the files as they should be, by their place in docs/ */
    public static function written(): array
    {
        return [
            'formats/check.md' => self::with('formats/check.md', ['rules' => DocsTables::rules()]),
            'formats/session.md' => self::with('formats/session.md', [
                'drills' => DocsTables::drills(),
                'warnings' => DocsTables::warnings(),
            ]),
            'model.md' => self::with('model.md', ['worked' => DocsTables::worked(), 'values' => DocsTables::values()]),
        ];
    }

    /** @param array<string, string> $parts the text between the marks of that name */
    private static function with(string $file, array $parts): string
    {
        $text = (string) file_get_contents(self::FOLDER.$file);
        foreach ($parts as $name => $part) {
            [$begin, $end] = ["<!-- $name: written by bin/periplus docs -->", "<!-- /$name -->"];
            [$before, $rest] = [...explode($begin, $text, 2), ''];
            [, $after] = [...explode($end, $rest, 2), ''];
            $text = $before.$begin."\n".$part.$end.$after;
        }

        return $text;
    }
}
