<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Periplus\Core\Technique\ModelValue;
use Periplus\Core\Technique\ModelValues;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

use function Periplus\Core\Language\t;

/** The numbers of the model whose effects are requested, and the gym's own numbers. */
#[Assert\Callback('validate')]
final readonly class EffectsRequest
{
    public const MAX_NUMBERS = 30;

    /**
     * @param array<mixed> $keys of {@see ModelValues}
     * @param array<mixed> $calibration value by key
     */
    public function __construct(
        #[Assert\Count(
            min: 1,
            max: self::MAX_NUMBERS,
            maxMessage: 'At most {{ limit }} numbers at a time.',
        ),]
        public array $keys,
        public array $calibration = [],
    ) {
    }

    public function validate(ExecutionContextInterface $context): void
    {
        foreach ($this->keys as $index => $key) {
            if (!\is_string($key) || !isset(ModelValues::all()[$key])) {
                $context
                    ->buildViolation(t('There is no such number in the model.'))
                    ->atPath('keys.'.$index)
                    ->addViolation();
            }
        }
    }

    /** @return list<ModelValue> */
    public function values(): array
    {
        return array_values(
            array_intersect_key(ModelValues::all(), array_flip(array_filter($this->keys, is_string(...)))),
        );
    }
}
