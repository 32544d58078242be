<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Reads the combinations of a set. What breaks under the rules of the session is reported, and kept.
 *
 * @internal to {@see PlanReader}
 */
final class CombinationReader
{
    /** @var array<string, CheckResult> checks that were made, by medium, purpose, stance and chain */
    private array $checked = [];

    public function __construct(private readonly Reader $reader)
    {
    }

    /** @return list<PlannedCombination> those that can be read */
    public function read(PlanFields $fields, RoundSettings $settings): array
    {
        $list = $fields->raw('combinations') ?? [];
        if (!\is_array($list) || !array_is_list($list) || \count($list) > SetReader::MAX_SETS) {
            $fields->problem(
                t('Combinations are a list of at most {maxSets}.', maxSets: SetReader::MAX_SETS),
                'combinations',
            );

            return [];
        }
        $combinations = [];
        foreach ($list as $index => $written) {
            $combination = $this->combination($written, $fields, "combinations[$index]", $settings);
            if (null !== $combination) {
                $combinations[] = $combination;
            }
        }

        return $combinations;
    }

    /** Reads the form of a combination for others, such as an easier one; null when there is none. */
    public function one(PlanFields $fields, string $field, RoundSettings $settings): ?PlannedCombination
    {
        $written = $fields->raw($field);

        return null === $written ? null : $this->combination($written, $fields, $field, $settings);
    }

    /** Reads a chain of a drill's parameters; returns the sentence that says why when it cannot. */
    public function chain(string $text, RoundSettings $settings): Chain|string
    {
        $reading = $this->reader->read($text, $settings->plan->numbering, Stance::Orthodox);

        return $reading->chain
            ?? t('"{text}": {value}', text: mb_strimwidth($text, 0, 60, '…'), value: $reading->problems[0]->message);
    }

    private function combination(
        mixed $written,
        PlanFields $set,
        string $field,
        RoundSettings $settings,
    ): ?PlannedCombination {
        $fields = $set->child(\is_string($written) ? ['chain' => $written] : $written, $field, $set->where);
        if (null === $fields) {
            return null;
        }
        $text = $fields->text('chain', t('A chain'), Reader::MAX_LENGTH);
        $stance = $fields->choice('stance', t('The stance'), Stance::Orthodox);
        $reading = $this->reader->read($text, $settings->plan->numbering, $stance);
        if (null === $reading->chain) {
            $fields->problem(
                t('"{text}": {value}', text: mb_strimwidth($text, 0, 60, '…'), value: $reading->problems[0]->message),
            );

            return null;
        }
        $inStance = new ChainInStance($reading->chain, $stance);
        $result = $this->check($text, $inStance, $settings->options());
        $breaks = self::breaks($result);
        // A round that says what it is for says as well what is worth fixing in it.
        foreach (null === $settings->purpose ? [] : $result->findings as $finding) {
            if (Severity::Should === $finding->severity) {
                $fields->problem(
                    mb_strimwidth($text, 0, 60, '…').': '.$finding->message,
                    stops: false,
                );
            }
        }
        if (null !== $breaks) {
            $fields->problem(
                t('{text} breaks. {breaks}', text: mb_strimwidth($text, 0, 60, '…'), breaks: $breaks),
                stops: false,
            );
        }
        $name = $fields->text('name', t('The name'), 120);

        return new PlannedCombination(
            $text,
            $inStance,
            '' === $name ? null : $name,
            $fields->optional('id', t('The number of a combination'), 1, 2_147_483_647),
            $fields->optional('version', t('The version of a combination'), 1, 2_147_483_647),
            $fields->words('themes', t('The themes of a combination')),
        );
    }

    private function check(string $text, ChainInStance $inStance, CheckOptions $options): CheckResult
    {
        $key = implode(
            ' ',
            [
                $options->medium->value,
                $options->purpose->value ?? '',
                $options->tempo,
                $inStance->stance->value,
                $text,
            ],
        );

        return $this->checked[$key] ??= Check::builtIn()->run($inStance, $options);
    }

    /** @return string|null why it breaks; null when it does not */
    private static function breaks(CheckResult $result): ?string
    {
        if (Verdict::Breaks !== $result->verdict) {
            return null;
        }
        $links = array_filter(
            $result->timing->links,
            static fn (Link $link): bool => Verdict::Breaks === $link->verdict,
        );
        foreach ($result->findings as $finding) {
            if (Severity::Must === $finding->severity && [] === $links) {
                return $finding->message;
            }
        }
        $link = reset($links);

        return false === $link ? t('Review it on the bench.') : $result->timing->reason($link);
    }
}
