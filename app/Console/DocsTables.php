<?php

declare(strict_types=1);

namespace Periplus\App\Console;

use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Drill\Parameter;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Session\Due\SessionThresholds;
use Periplus\Core\Technique\ModelValue;
use Periplus\Core\Technique\ModelValues;

/** Generates the tables of the documentation: the rules, a worked example, and the numbers of the model. */
final class DocsTables
{
    /** A chain with most of the causes. */
    private const WORKED = '1 2 2 14h 14l slip-lead slip-lead 3 exit 3';

    public static function drills(): string
    {
        $table = "| drill | what athletes do | asks for | parameters, as usual |\n| --- | --- | --- | --- |\n";
        foreach (DrillRegistry::definitions() as $drill) {
            $table .= \sprintf(
                "| `%s` | %s | %s | %s |\n",
                $drill->id,
                $drill->about,
                $drill->asks(),
                implode(
                    ', ',
                    array_map(
                        static fn (Parameter $parameter): string => \sprintf(
                            '`%s` %s',
                            $parameter->name,
                            \is_array($parameter->usual)
                                ? '['.implode(', ', $parameter->usual).']'
                                : var_export($parameter->usual, true),
                        ),
                        $drill->parameters,
                    ),
                ),
            );
        }

        return $table;
    }

    public static function warnings(): string
    {
        $table = "| warning | why | threshold | fix |\n| --- | --- | --- | --- |\n";
        foreach (SessionThresholds::definitions() as $warning) {
            $table .= \sprintf(
                "| `%s` | %s | %s %s %s | %s |\n",
                $warning->id,
                $warning->reason,
                $warning->threshold->word,
                $warning->threshold->default,
                $warning->threshold->unit,
                $warning->fix,
            );
        }

        return $table;
    }

    public static function rules(): string
    {
        $table =
            "| id | what it says | boxing, kickboxing, all limbs | from | shows it | does not |\n| --- | --- | --- | "
                ."--- | --- | --- |\n";
        foreach (RuleRegistry::all() as $rule) {
            $definition = $rule->definition();
            $table .= \sprintf(
                "| `%s` | %s. %s | %s | %s | %s | %s |\n",
                $definition->id,
                $definition->title,
                $definition->reason,
                null === $definition->severities
                    ? 'credit'
                    : implode(
                        ', ',
                        array_map(static fn (Severity $severity): string => $severity->value, $definition->severities),
                    ),
                self::threshold($definition),
                self::example($definition->shows),
                self::example($definition->doesNotShow),
            );
        }

        return $table;
    }

    public static function worked(): string
    {
        $check = CheckServices::load()->checkSerializer->serialize(
            Reader::builtIn()->readText(new ChainText(self::WORKED)),
            new CheckOptions(BuiltInHouseRules::named('kickboxing')),
        );
        $table =
            \sprintf("`%s` under kickboxing rules: %s\n\n", self::WORKED, lcfirst((string) $check->summary))
            ."| item | leaves load, turn, range | what was missing before it, ms | wait | verdict | why |\n| --- | "
            ."--- | --- | --- | --- | --- |\n";
        foreach ($check->items as $index => $item) {
            $link = $check->links[$index - 1] ?? null;
            $parts = $link?->parts->getArrayCopy() ?? [];
            $missing = implode(
                ', ',
                array_map(static fn (string $cause, int $ms): string => "$cause $ms", array_keys($parts), $parts),
            );
            $table .= \sprintf(
                "| %s | %.2f, %.2f, %d | %s | %s | %s | %s |\n",
                $item->text,
                $item->load,
                $item->turn,
                $item->range,
                $missing,
                $link->waitMs ?? '',
                $link->verdict->value ?? '',
                $link->reason ?? 'It is the first.',
            );
        }

        return $table;
    }

    public static function values(): string
    {
        $groups = [];
        foreach (ModelValues::all() as $value) {
            $groups[$value->of][] = $value;
        }
        $table = "| of the body | value | bounds | source |\n| --- | --- | --- | --- |\n";
        foreach ($groups['body'] ?? [] as $value) {
            $table .= \sprintf(
                "| %s: %s | %s %s | %s to %s | %s |\n",
                $value->name,
                $value->meaning,
                self::number($value->value),
                $value->unit,
                self::number($value->least),
                self::number($value->most),
                self::source($value),
            );
        }
        $table .= "\n| strike or move | values | source |\n| --- | --- | --- |\n";
        foreach ($groups as $of => $values) {
            if ('body' !== $of) {
                $written = implode(
                    ', ',
                    array_map(
                        static fn (ModelValue $value): string => $value->name.' '.self::number($value->value),
                        $values,
                    ),
                );
                $table .= \sprintf("| %s | %s | %s |\n", strtr($of, '-', ' '), $written, self::source($values[0]));
            }
        }

        return $table;
    }

    private static function source(ModelValue $value): string
    {
        return ('house value' === $value->source ? 'house' : $value->source)
            .(null === $value->note ? '' : '; '.$value->note);
    }

    private static function number(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
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
