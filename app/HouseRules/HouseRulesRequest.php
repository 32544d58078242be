<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\HouseRules\Thresholds;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** House rules as the head coach would have them: everything but what the sport lets land. */
#[Assert\Callback('validate')]
final readonly class HouseRulesRequest
{
    /** @param array<mixed> $severities by finding id: off, hint, should or must */
    public function __construct(
        public Schools $schools,
        public array $severities,
        public Thresholds $thresholds,
    ) {
    }

    public function validate(ExecutionContextInterface $context): void
    {
        $known = [];
        foreach (RuleRegistry::all() as $rule) {
            if (!$rule->isCredit()) {
                $known[$rule->id()] = $rule->title();
            }
        }
        foreach ($this->severities as $id => $severity) {
            if (!isset($known[$id])) {
                $context->buildViolation(\sprintf('There is no rule "%s".', mb_substr((string) $id, 0, 40)))->atPath('severities')->addViolation();
            } elseif (!\in_array($severity, ['off', 'hint', 'should', 'must'], true)) {
                $context->buildViolation(\sprintf('"%s" is off, hint, should or must.', $known[$id]))->atPath('severities.'.$id)->addViolation();
            }
        }
        $thresholds = $this->thresholds->toArray();
        foreach (HouseRules::limits() as $name => ['least' => $least, 'most' => $most, 'meaning' => $meaning]) {
            if ($thresholds[$name] < $least || $thresholds[$name] > $most) {
                $context->buildViolation(\sprintf('The limit "%s" is %s to %s.', $meaning, $least, $most))->atPath('thresholds.'.$name)->addViolation();
            }
        }
    }

    public function over(HouseRules $rules): HouseRules
    {
        $severities = [];
        foreach ($this->severities as $id => $severity) {
            // Validated before.
            $severities[(string) $id] = Severity::from(\is_string($severity) ? $severity : '')->value;
        }
        $row = $rules->toArray();

        return HouseRules::of([...$row, 'schools' => $this->schools->toArray(), 'severities' => [...$row['severities'], ...$severities], 'thresholds' => $this->thresholds->toArray()]);
    }
}
