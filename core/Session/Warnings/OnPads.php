<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warnings;

use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Strike;

/** Moves rounds of a plan to pads, chosen by what is thrown in them: to long pads where legs strike. */
final readonly class OnPads
{
    public function __construct(private WrittenPlan $plan)
    {
    }

    /**
     * Moves every round on one of the given media in which such a strike is thrown.
     *
     * @param \Closure(Medium): bool $from
     * @param \Closure(Strike): bool $isMeant
     */
    public function where(\Closure $from, \Closure $isMeant): WrittenPlan
    {
        $meant = $this->rounds($from, $isMeant);

        return $this->plan->eachRound(
            static fn (array $round, int $block, int $number): array => isset($meant[$block.' '.$number])
                ? [...$round, 'medium' => $meant[$block.' '.$number]->value]
                : $round,
        );
    }

    /**
     * Moves every second round; a round that is repeated is split.
     *
     * @param \Closure(Medium): bool $from
     * @param \Closure(Strike): bool $isMeant
     */
    public function everySecond(\Closure $from, \Closure $isMeant): WrittenPlan
    {
        $meant = $this->rounds($from, $isMeant);
        $changed = $this->plan;
        $isSecond = true;
        // From the end, so that earlier positions stay valid.
        foreach (array_reverse($this->plan->rounds()) as [$block, $number, $round]) {
            if (!isset($meant[$block.' '.$number])) {
                continue;
            }
            $times = \is_int($round['times'] ?? null) ? $round['times'] : 1;
            $pads = [...$round, 'medium' => $meant[$block.' '.$number]->value];
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
     * @param \Closure(Medium): bool $from
     * @param \Closure(Strike): bool $isMeant
     *
     * @return array<string, Medium> the pads for each, by block and round
     */
    private function rounds(\Closure $from, \Closure $isMeant): array
    {
        $found = [];
        foreach ($this->plan->read()->blocks as $block) {
            foreach ($block->rounds as $round) {
                if (
                    true === $from($round->medium)
                    && $this->throws($round, $isMeant)
                    && 1 === preg_match('/^blocks\[(\d+)\]\.rounds\[(\d+)\]$/', $round->place, $index)
                ) {
                    $kicks = $this->throws(
                        $round,
                        static fn (Strike $strike): bool => !$strike->limb->isArm(),
                    );
                    $found[$index[1].' '.$index[2]] = $kicks ? Medium::LongPads : Medium::Pads;
                }
            }
        }

        return $found;
    }

    /** @param \Closure(Strike): bool $isMeant */
    private function throws(Round $round, \Closure $isMeant): bool
    {
        foreach ([$round->everybody, ...$round->lanes] as $lane) {
            foreach ($lane->sets as $set) {
                foreach ($set->combinations as $combination) {
                    foreach ($combination->inStance->chain->strikes() as $item) {
                        if ($isMeant($item->strike)) {
                            return true;
                        }
                    }
                }
            }
        }

        return false;
    }
}
