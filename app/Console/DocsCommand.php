<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\Severity;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes the parts of the documentation that follow from the code. A test says when they are old. */
#[AsCommand('docs', 'Write the parts of docs/ that follow from the code')]
final class DocsCommand extends Command
{
    private const FILE = __DIR__.'/../../docs/formats/check.md';
    private const BEGIN = '<!-- rules: written by bin/periplus docs -->';
    private const END = '<!-- /rules -->';

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        file_put_contents(self::FILE, self::written());
        $output->writeln('docs/formats/check.md is written.');

        return Command::SUCCESS;
    }

    /** The file as it should be. */
    public static function written(): string
    {
        $text = (string) file_get_contents(self::FILE);
        [$before, $rest] = [...explode(self::BEGIN, $text, 2), ''];
        [, $after] = [...explode(self::END, $rest, 2), ''];

        return $before.self::BEGIN."\n".self::rules().self::END.$after;
    }

    private static function rules(): string
    {
        $table = "| id | what it says | boxing, kickboxing, all limbs | from | shows it | does not |\n| --- | --- | --- | --- | --- | --- |\n";
        foreach (RuleRegistry::all() as $rule) {
            $definition = $rule->definition();
            $table .= \sprintf(
                "| `%s` | %s. %s | %s | %s | %s | %s |\n",
                $definition->id,
                $definition->title,
                $definition->reason,
                null === $definition->severities ? 'credit' : implode(', ', array_map(static fn (Severity $severity): string => $severity->value, $definition->severities)),
                self::threshold($definition),
                self::example($definition->shows),
                self::example($definition->doesNotShow),
            );
        }

        return $table;
    }

    private static function threshold(RuleDefinition $definition): string
    {
        $threshold = $definition->threshold;

        return null === $threshold ? '' : \sprintf('%s %s %s', $threshold->word, $threshold->default, $threshold->unit);
    }

    private static function example(RuleExample $example): string
    {
        $where = array_filter([
            'shadow' === $example->medium->value ? '' : 'on '.$example->medium->value,
            'open' === $example->group->value ? '' : 'for '.$example->group->value,
            1.0 === $example->tempo ? '' : 'at tempo '.$example->tempo,
            null === $example->schools ? '' : 'in another school',
        ], static fn (string $part): bool => '' !== $part);

        return '`'.$example->chain.'`'.([] === $where ? '' : ' '.implode(', ', $where));
    }
}
