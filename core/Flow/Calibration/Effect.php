<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\Technique\ModelValue;

/** Computes how the verdicts of the links change when a number of the model is moved. */
final readonly class Effect
{
    /**
     * @param float $to the value that was tried
     * @param list<ChangedChain> $changed labelled chains whose verdict changes
     * @param int $agree how many of the labelled chains agree with the verdict that coaches expect, with that value
     * @param int $agreed how many did before
     * @param int $gym how many of the gym's own chains change their verdict
     */
    private function __construct(
        public float $to,
        public array $changed,
        public int $agree,
        public int $agreed,
        public int $gym,
    ) {
    }

    /**
     * Tries a tenth of the allowed range to either side, within its bounds and those the other numbers set.
     *
     * @param list<Chain> $gym chains of the gym
     *
     * @return list<self> the lower one first; a side that is not possible is missing
     */
    public static function around(ModelValue $value, HouseRules $rules, array $gym): array
    {
        $now = $rules->calibration->own[$value->key] ?? $value->value;
        $move = max($value->step, ($value->most - $value->least) / 10);
        $effects = [];
        foreach ([-$move, $move] as $by) {
            $to = max($value->least, min($value->most, round(($now + $by) / $value->step) * $value->step));
            try {
                $effects[] =
                    abs($to - $now) < 1e-9
                        ? null
                        : self::of(
                            $rules,
                            $rules->calibrated([...$rules->calibration->own, $value->key => $to]),
                            $to,
                            $gym,
                        );
            } catch (\DomainException) {
                // The window would end before it begins.
            }
        }

        return array_values(array_filter($effects));
    }

    /** @param list<Chain> $gym */
    private static function of(HouseRules $before, HouseRules $after, float $to, array $gym): self
    {
        $model = new FlowModel();
        $changed = [];
        $agree = $agreed = 0;
        foreach (LabelledChains::all() as $labelled) {
            $chain = $labelled->chain();
            $rules = BuiltInHouseRules::named($labelled->rules)->inSchools($before->schools);
            $from = $model->timing($chain, $rules->calibrated($before->calibration->own), medium: $labelled->medium)
                ->verdict();
            $now = $model->timing($chain, $rules->calibrated($after->calibration->own), medium: $labelled->medium)
                ->verdict();
            $agreed += $labelled->agrees($from) ? 1 : 0;
            $agree += $labelled->agrees($now) ? 1 : 0;
            if ($from !== $now) {
                $changed[] = new ChangedChain($labelled->notation, $from, $now);
            }
        }
        $moved = \count(
            array_filter(
                $gym,
                static fn (Chain $chain): bool => $model->timing($chain, $before)->verdict()
                    !== $model->timing($chain, $after)->verdict(),
            ),
        );

        return new self($to, $changed, $agree, $agreed, $moved);
    }
}
