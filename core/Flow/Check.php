<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

use Periplus\Core\Combination\ChainInStance;
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

        return $check ??= new self(Catalogue::builtIn(), Rulebook::all());
    }

    public function run(ChainInStance $inStance, Circumstances $circumstances): Report
    {
        $timing = $this->timing($inStance, $circumstances);
        $passage = new Passage($inStance, $timing, $circumstances);
        $findings = [];
        $must = false;
        foreach ($this->rules as $rule) {
            $severity = $rule->isCredit() ? Severity::Credit : $circumstances->rules->severity($rule->id());
            if (Severity::Off === $severity) {
                continue;
            }
            foreach ($rule->sightings($passage) as $sighting) {
                $findings[] = new Finding($rule->id(), $severity, $sighting->at, $sighting->message);
                $must = $must || Severity::Must === $severity;
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => [self::ORDER[$a->severity->value], $a->at ?? -1] <=> [self::ORDER[$b->severity->value], $b->at ?? -1]);
        $linkVerdict = $timing->verdict();

        return new Report($inStance, $timing, $passage->sway(), $findings, $linkVerdict, $must ? Verdict::Breaks : $linkVerdict);
    }

    public function timing(ChainInStance $inStance, Circumstances $circumstances): ChainTiming
    {
        return $this->model->timing($inStance->chain, $circumstances->rules, $circumstances->tempo);
    }
}
