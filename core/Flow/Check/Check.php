<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Check;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Options\Circumstances;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Catalogue;

/** The coach's question, answered: does weight arrive where the next strike needs it, and what else is to be said. */
final readonly class Check
{
    private const ORDER = ['must' => 0, 'should' => 1, 'hint' => 2, 'credit' => 3, 'off' => 4];

    public FlowModel $model;

    /** @param list<Rule> $rules */
    public function __construct(Catalogue $catalogue, private array $rules)
    {
        $this->model = new FlowModel($catalogue->body);
    }

    public static function builtIn(): self
    {
        /** @var self|null $check */
        static $check = null;

        return $check ??= new self(Catalogue::builtIn(), RuleRegistry::all());
    }

    public function run(ChainInStance $inStance, Circumstances $circumstances): CheckResult
    {
        $timing = $this->timing($inStance, $circumstances);
        $context = new RuleContext($inStance, $timing, $circumstances);
        $findings = [];
        $must = false;
        foreach ($this->rules as $rule) {
            $severity = $rule->isCredit() ? Severity::Credit : $circumstances->rules->severity($rule->id());
            if (Severity::Off === $severity) {
                continue;
            }
            foreach ($rule->matches($context) as $match) {
                $findings[] = new Finding($rule->id(), $severity, $match->at, $match->message);
                $must = $must || Severity::Must === $severity;
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => [self::ORDER[$a->severity->value], $a->at ?? -1] <=> [self::ORDER[$b->severity->value], $b->at ?? -1]);
        $linkVerdict = $timing->verdict();

        return new CheckResult($inStance, $timing, $context->sway(), $findings, $linkVerdict, $must ? Verdict::Breaks : $linkVerdict);
    }

    public function timing(ChainInStance $inStance, Circumstances $circumstances): ChainTiming
    {
        return $this->model->timing($inStance->chain, $circumstances->rules, $circumstances->tempo);
    }
}
