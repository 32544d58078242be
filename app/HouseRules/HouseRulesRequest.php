<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Periplus\Core\Flow\Rule\RuleThreshold;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Session\Due\SessionThresholds;
use Periplus\Core\Session\Warning\WarningDefinition;
use Periplus\Core\Technique\Calibration;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

use function Periplus\Core\Language\t;

/** House rules in a request: everything except which limbs the sport allows. */
#[Assert\Callback('validate')]
final readonly class HouseRulesRequest
{
    /**
     * @param array<mixed> $severities by the id of the rule: off, hint, should or must
     * @param array<mixed> $thresholds by the id of the rule
     * @param array<mixed>|null $calibration the gym's own numbers of the model by their key; null leaves them as they
     *                                       are
     */
    public function __construct(
        public Schools $schools,
        public array $severities,
        public array $thresholds,
        public ?array $calibration = null,
    ) {
    }

    public function validate(ExecutionContextInterface $context): void
    {
        $known = [];
        foreach (RuleRegistry::weighed() as $rule) {
            $known[$rule->id] = $rule->title;
            if (null !== $rule->threshold) {
                $this->validateThreshold($context, $rule->id, $rule->threshold);
            }
        }
        // Warnings of sessions have thresholds but no severity; missing ones get the default.
        $warnings = [];
        foreach (SessionThresholds::definitions() as $warning) {
            $warnings[$warning->id] = true;
            if (isset($this->thresholds[$warning->id])) {
                $this->validateThreshold($context, $warning->id, $warning->threshold);
            }
        }
        foreach (array_diff_key($this->thresholds, $known, $warnings) as $id => $value) {
            $context
                ->buildViolation(t('There is no rule "{id}".', id: mb_substr((string) $id, 0, 40)))
                ->atPath('thresholds')
                ->addViolation();
        }
        try {
            new Calibration(self::numbers($this->calibration ?? []));
        } catch (\DomainException $invalid) {
            $context->buildViolation($invalid->getMessage())->atPath('calibration')->addViolation();
        }
        foreach ($this->severities as $id => $severity) {
            if (!isset($known[$id])) {
                $context
                    ->buildViolation(t('There is no rule "{id}".', id: mb_substr((string) $id, 0, 40)))
                    ->atPath('severities')
                    ->addViolation();
            } elseif (!\in_array($severity, ['off', 'hint', 'should', 'must'], true)) {
                $context
                    ->buildViolation(t('"{known}" is off, hint, should or must.', known: $known[$id]))
                    ->atPath('severities.'.$id)
                    ->addViolation();
            }
        }
    }

    private function validateThreshold(ExecutionContextInterface $context, string $id, RuleThreshold $threshold): void
    {
        $value = $this->thresholds[$id] ?? null;
        if (
            (\is_int($threshold->default) ? !\is_int($value) : !\is_int($value) && !\is_float($value))
            || $value < $threshold->least
            || $value > $threshold->most
        ) {
            $context
                ->buildViolation(
                    t(
                        'The limit of {unit} is {least} to {most}.',
                        unit: $threshold->unit,
                        least: $threshold->least,
                        most: $threshold->most,
                    ),
                )
                ->atPath('thresholds.'.$id)
                ->addViolation();
        }
    }

    /**
     * @param array<mixed> $values
     *
     * @return array<string, int|float>
     *
     * @throws \DomainException when one is no number
     */
    public static function numbers(array $values): array
    {
        $numbers = [];
        foreach ($values as $key => $value) {
            if (!\is_string($key)) {
                throw new \DomainException(t('There is no number "{key}" in the model.', key: $key));
            }
            if (!\is_int($value) && !\is_float($value)) {
                throw new \DomainException(t('The value of "{key}" is a number.', key: mb_substr($key, 0, 60)));
            }
            $numbers[$key] = $value;
        }

        return $numbers;
    }

    public function over(HouseRules $rules): HouseRules
    {
        $severities = [];
        foreach ($this->severities as $id => $severity) {
            // Validated before.
            $severities[(string) $id] = Severity::from(\is_string($severity) ? $severity : '')->value;
        }
        $thresholds = [];
        foreach ($this->thresholds as $id => $value) {
            if (\is_int($value) || \is_float($value)) {
                $thresholds[(string) $id] = $value;
            }
        }
        // Default values are not stored as a change.
        foreach (SessionThresholds::definitions() as $warning) {
            if (($thresholds[$warning->id] ?? null) === $warning->threshold->default) {
                unset($thresholds[$warning->id]);
            }
        }
        $row = $rules->jsonSerialize();
        $kept = array_diff_key(
            $row['thresholds'],
            array_flip(
                array_map(
                    static fn (WarningDefinition $warning): string => $warning->id,
                    SessionThresholds::definitions(),
                ),
            ),
        );

        $calibration = null === $this->calibration ? $row['calibration'] ?? [] : self::numbers($this->calibration);

        return HouseRules::of([
            ...$row,
            'calibration' => $calibration,
            'schools' => $this->schools->toArray(),
            'severities' => [...$row['severities'], ...$severities],
            'thresholds' => [...$kept, ...$thresholds],
        ]);
    }
}
