<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Flow\Options\Medium;
use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\WrittenPlan;

/** Moves rounds of a plan to pads, chosen by what is thrown in them. */
final class OnPads
{
    /**
     * Moves every round on one of the given media in which such a strike is thrown.
     *
     * @param list<Medium> $from
     * @param \Closure(string): bool $isMeant by the family of a strike
     */
    public static function where(WrittenPlan $plan, array $from, \Closure $isMeant): WrittenPlan
    {
        $meant = self::rounds($plan, $from, $isMeant);

        return $plan->eachRound(
            static fn (array $round, int $block, int $number): array => isset($meant[$block.' '.$number])
                ? [...$round, 'medium' => Medium::Pads->value]
                : $round,
        );
    }

    /**
     * Moves every second round; a round that is repeated is split.
     *
     * @param \Closure(string): bool $isMeant
     */
    public static function everySecond(WrittenPlan $plan, Medium $from, \Closure $isMeant): WrittenPlan
    {
        $meant = self::rounds($plan, [$from], $isMeant);
        $changed = $plan;
        $isSecond = true;
        // From the end, so that earlier positions stay valid.
        foreach (array_reverse($plan->rounds()) as [$block, $number, $round]) {
            if (!isset($meant[$block.' '.$number])) {
                continue;
            }
            $times = \is_int($round['times'] ?? null) ? $round['times'] : 1;
            $pads = [...$round, 'medium' => Medium::Pads->value];
            if ($times > 1) {
                $half = intdiv($times, 2);
                $changed = $changed->withRounds($block, $number, [
                    [...$round, 'times' => $times - $half],
                    [...$pads, 'times' => $half],
                ]);
            } elseif ($isSecond) {
                $changed = $changed->withRounds($block, $number, [$pads]);
                $isSecond = false;
            } else {
                $isSecond = true;
            }
        }

        return $changed;
    }

    /**
     * @param list<Medium> $from
     * @param \Closure(string): bool $isMeant
     *
     * @return array<string, true> by block and round
     */
    private static function rounds(WrittenPlan $plan, array $from, \Closure $isMeant): array
    {
        $found = [];
        foreach ($plan->read()->blocks as $block) {
            foreach ($block->rounds as $round) {
                if (
                    \in_array($round->medium, $from, true)
                    && self::throws($round, $isMeant)
                    && 1 === preg_match('/^blocks\[(\d+)\]\.rounds\[(\d+)\]$/', $round->place, $index)
                ) {
                    $found[$index[1].' '.$index[2]] = true;
                }
            }
        }

        return $found;
    }

    /** @param \Closure(string): bool $isMeant */
    private static function throws(Round $round, \Closure $isMeant): bool
    {
        foreach ([$round->everybody, ...$round->lanes] as $lane) {
            foreach ($lane->sets as $set) {
                foreach ($set->combinations as $combination) {
                    foreach ($combination->inStance->chain->strikes() as $item) {
                        if ($isMeant($item->strike->family)) {
                            return true;
                        }
                    }
                }
            }
        }

        return false;
    }
}
