<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;

final readonly class Overcommitted implements Rule
{
    public function id(): string
    {
        return 'overcommitted';
    }

    public function title(): string
    {
        return 'Over the feet';
    }

    public function reason(): string
    {
        return 'The weight has to be over the feet that are down; past their edge the athlete falls, and cannot strike or leave. And strikes that all drive the weight the same way carry the athlete over that foot. Something has to bring it back: a strike of the other side, a slip, a step.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): RuleExample
    {
        return new RuleExample('2 2 2');
    }

    public function doesNotShow(): RuleExample
    {
        return new RuleExample('2 3 2');
    }

    /** A load this far from even is a drive; share of the weight. */
    private const DRIVE = 0.1;

    public function matches(RuleContext $context): array
    {
        $matches = [];
        $sway = $context->sway();
        if (null !== $sway->leastAt && $sway->overcommitted()) {
            $item = $context->items[$sway->leastAt];
            $matches[] = new RuleMatch($sway->leastAt, \sprintf('In the %s the hips run %d cm past the feet that are down. Give the weight more time to get there, or put a step before it.', $item->name(), max(1, (int) round(-100 * $sway->least))));
        }
        $runs = $context->runs(
            static fn (Item $item): bool => $item instanceof Beat || $item instanceof FreeStrikes || ($item instanceof MoveItem && null !== $item->move->load),
            static fn (int $at, StrikeItem $item): string => self::drive($context->timing->moments[$at]->load, $at, $item),
        );
        foreach ($runs as $run) {
            $way = self::drive($context->timing->moments[$run[0]]->load, $run[0], $context->strikes[$run[0]]);
            if (('front' === $way || 'back' === $way) && \count($run) >= $context->circumstances->rules->thresholds->drives) {
                $matches[] = new RuleMatch($run[\count($run) - 1], \sprintf('%d strikes in a row drive the weight over the %s foot and nothing brings it back.', \count($run), $way));
            }
        }

        return $matches;
    }

    /** @return string front, back, or a word of its own so that a strike that drives nowhere ends the run */
    private static function drive(float $load, int $at, StrikeItem $item): string
    {
        return match (true) {
            $item->feint => 'feint '.$at,
            $load >= 0.5 + self::DRIVE => 'front',
            $load <= 0.5 - self::DRIVE => 'back',
            default => 'even '.$at,
        };
    }
}
