<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Load;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\SegmentKind;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/**
 * Counts what an athlete of each stance throws in a session: repetitions = work / (length of the chain at its tempo +
 * gap between repetitions), unless the drill counts them itself.
 */
final readonly class LoadCounter
{
    /** @param int|null $track whose; of everybody when null */
    public static function load(Programme $programme, ?int $track, Stance $athlete): Load
    {
        $work = $programme->workMs($track);
        $load = new Load($work, $programme->lengthMs - $work);
        foreach ($programme->segments($track) as $segment) {
            if (SegmentKind::Work === $segment->kind && null !== $segment->set && null !== $segment->run) {
                foreach ($segment->set->drill->portions($segment->run) as $portion) {
                    self::count($load, $portion, $segment->run, $athlete);
                }
            }
        }

        return $load;
    }

    private static function count(Load $load, Portion $portion, DrillRun $run, Stance $athlete): void
    {
        $stance = $portion->stance->resolve($athlete);
        if (null === $portion->chain) {
            $load->stanceMs[$stance->value] += $portion->ms;
            self::free($load, $portion, $run, $stance);

            return;
        }
        $repetitions = $portion->repetitions ?? $portion->ms / $run->period($portion->chain);
        self::chain(
            $load,
            new ChainInStance($portion->chain, $stance),
            $repetitions,
            $portion->ms,
            $run->options->medium,
        );
    }

    /**
     * Adds a chain thrown that many times, over that many ms. One that ends in the other stance goes on from there:
     * every second time it is thrown from the other stance.
     *
     * @param float $weight of it all, such as a share of the athletes
     */
    public static function chain(
        Load $load,
        ChainInStance $inStance,
        float $repetitions,
        float $ms,
        Medium $medium,
        float $weight = 1.0,
    ): void {
        $mirrored = self::fromTheOtherStance($inStance, $repetitions);
        $share = 0.0 === $mirrored ? 0.0 : $mirrored / $repetitions;
        foreach ([[$inStance, 1.0 - $share], [$inStance->mirror(), $share]] as [$thrown, $part]) {
            if ($part > 0.0) {
                self::thrown($load, $thrown, $weight * $part * $repetitions, $weight * $part * $ms, $medium);
            }
        }
    }

    /** Returns how many of the repetitions of a chain begin in the other stance. */
    public static function fromTheOtherStance(ChainInStance $inStance, float $repetitions): float
    {
        if ($inStance->end === $inStance->stance) {
            return 0.0;
        }
        $whole = floor($repetitions);
        // The second, the fourth and so on; what is left over belongs to the next one.
        $even = floor($whole / 2);

        return 1 === (int) $whole % 2 ? $even + $repetitions - $whole : $even;
    }

    private static function thrown(
        Load $load,
        ChainInStance $inStance,
        float $repetitions,
        float $ms,
        Medium $medium,
    ): void {
        $load->repetitions += $repetitions;
        $isFirst = true;
        foreach ($inStance->chain->items as $index => $item) {
            // Minutes in a stance follow the stance of each item.
            $load->stanceMs[$inStance->stances[$index]->value] += $ms / \count($inStance->chain->items);
            if ($item instanceof FreeStrikes) {
                self::chosen($load, $inStance->stances[$index], $item, $repetitions * $item->count, $medium);
            }
            if (!$item instanceof StrikeItem || !$item->delivered()) {
                continue;
            }
            if ($isFirst) {
                $load->openings += $repetitions;
                $load->jabOpenings += 'jab' === $item->strike->id ? $repetitions : 0.0;
                $isFirst = false;
            }
            $load->count(
                $repetitions,
                $inStance->side($index) ?? Side::Left,
                $item->strike->limb,
                $item->target,
                $item->strike,
                $medium,
            );
        }
    }

    /** Counts free strikes; of a named choice each is taken as often as the others. */
    private static function chosen(Load $load, Stance $stance, FreeStrikes $free, float $times, Medium $medium): void
    {
        if ([] === $free->choice) {
            $load->countFree($times, null, $free->target);
        }
        foreach ($free->choice as $item) {
            $strike = $item->strike;
            $each = $times / \count($free->choice);
            $load->count($each, $stance->sideOf($strike->role), $strike->limb, $item->target, $strike, $medium);
        }
    }

    /**
     * Returns the number of free strikes in a part of a drill's work: counted by the drill, or bursts with the gap
     * after each.
     */
    public static function freeStrikes(Portion $portion, DrillRun $run): float
    {
        $burst = (int) SessionValues::builtIn()->value('burst');

        return $portion->strikes ?? $burst * $portion->ms / $run->period(Chain::of([new FreeStrikes($burst)]));
    }

    private static function free(Load $load, Portion $portion, DrillRun $run, Stance $stance): void
    {
        $side = $portion->side instanceof Role ? $stance->sideOf($portion->side) : $portion->side;
        $strikes = self::freeStrikes($portion, $run);
        foreach ($portion->weapons as $limb) {
            $times = $strikes / \count($portion->weapons);
            null === $side
                ? $load->countFree($times, $limb, null)
                : $load->count($times, $side, $limb, null, null, $run->options->medium);
        }
    }
}
