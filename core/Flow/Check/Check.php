<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Check;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;

/**
 * Answers the coach's question: do weight and hips arrive where the next strike needs them, and what else is worth
 * saying.
 */
final readonly class Check
{
    public FlowModel $model;

    /** @var list<array{Rule, RuleDefinition}> */
    private array $rules;

    /** @param list<Rule> $rules */
    public function __construct(array $rules)
    {
        $this->model = new FlowModel();
        $this->rules = array_map(static fn (Rule $rule): array => [$rule, $rule->definition()], $rules);
    }

    public static function builtIn(): self
    {
        /** @var self|null $check */
        static $check = null;

        return $check ??= new self(RuleRegistry::all());
    }

    public function run(ChainInStance $inStance, CheckOptions $options): CheckResult
    {
        $timing = $this->timing($inStance, $options);
        $context = new RuleContext($inStance, $timing, $options);
        $findings = [];
        $must = false;
        foreach ($this->rules as [$rule, $definition]) {
            $severity = $definition->isCredit() ? Severity::Credit : $options->rules->severity($definition->id);
            if (Severity::Off === $severity) {
                continue;
            }
            foreach ($rule->matches($context) as $match) {
                $weight = $match->weighed($severity, $definition->mattersFor($options->purpose));
                $findings[] = new Finding($definition->id, $weight, $match->at, $match->message, $definition->title);
                $must = $must || Severity::Must === $weight;
            }
        }
        usort(
            $findings,
            static fn (Finding $a, Finding $b): int => [$b->severity->rank(), $a->at ?? -1] <=> [
                $a->severity->rank(),
                $b->at ?? -1,
            ],
        );
        $linkVerdict = $timing->verdict();

        return new CheckResult(
            $inStance,
            $timing,
            $context->sway(),
            $findings,
            $linkVerdict,
            $must ? Verdict::Breaks : $linkVerdict,
        );
    }

    public function timing(ChainInStance $inStance, CheckOptions $options): ChainTiming
    {
        return $this->model->timing($inStance->chain, $options->rules, $options->tempo, $options->medium);
    }
}
