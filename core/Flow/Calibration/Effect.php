<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Calibration;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Verdict;
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
        $from = self::verdictsNow($before);
        $now = self::verdicts($after);
        $changed = [];
        $agree = $agreed = 0;
        foreach (LabelledChains::all() as $index => $labelled) {
            $agreed += $labelled->agrees($from[$index]) ? 1 : 0;
            $agree += $labelled->agrees($now[$index]) ? 1 : 0;
            if ($from[$index] !== $now[$index]) {
                $changed[] = new ChangedChain($labelled->notation, $from[$index], $now[$index]);
            }
        }
        $model = new FlowModel();
        $moved = \count(
            array_filter(
                $gym,
                static fn (Chain $chain): bool => $model->timing($chain, $before)->verdict()
                    !== $model->timing($chain, $after)->verdict(),
            ),
        );

        return new self($to, $changed, $agree, $agreed, $moved);
    }

    /** @return list<Verdict> the same as {@see verdicts}, computed once for all the numbers that are tried */
    private static function verdictsNow(HouseRules $rules): array
    {
        static $kept = null;
        /** @var \WeakMap<HouseRules, list<Verdict>> $known */
        $known = $kept ??= new \WeakMap();

        return $known[$rules] ??= self::verdicts($rules);
    }

    /** @return list<Verdict> of the labelled chains with the schools and numbers of those rules */
    private static function verdicts(HouseRules $of): array
    {
        $model = new FlowModel();
        $sets = array_map(
            static fn (HouseRules $set): HouseRules => $set->inSchools($of->schools)->calibrated($of->calibration->own),
            BuiltInHouseRules::all(),
        );

        return array_map(
            static fn (LabelledChain $labelled): Verdict => $model
                ->timing($labelled->chain(), $sets[$labelled->rules], medium: $labelled->medium)
                ->verdict(),
            LabelledChains::all(),
        );
    }
}
