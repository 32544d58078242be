<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\LeadHook;
use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Feet;

/**
 * Moves the body's state along a chain and adds up, in ms, what each strike finds missing when it could start.
 *
 * A strike can start a gap after the release of what came before. Each of five causes may still be missing then;
 * the wait is the longest of them and half of the second longest. Times of strikes, moves and the gap follow the
 * tempo, and so do the limits of the verdicts, since a stop is seen against the rhythm around it; the body's own
 * rates do not. So a chain can flow slowly and break when fast.
 */
final readonly class FlowModel
{
    /** Below this a part is a rounding error, and that is no wait; ms. */
    private const NOTHING = 0.001;

    public function __construct(private Body $body)
    {
    }

    public function timing(Chain $chain, HouseRules $rules, float $tempo = 1.0): ChainTiming
    {
        $state = $this->begin($rules, $tempo);
        $moments = $links = $states = [];
        foreach ($chain->items as $item) {
            $states[] = clone $state;
            $link = $this->take($state, $item);
            if (null !== $link) {
                $links[] = $link;
            }
            if ($state->delay > 0.0) {
                $delay = $state->delay;
                $moments = [
                    ...\array_slice($moments, 0, $state->togetherFrom),
                    ...array_map(static fn (Moment $moment): Moment => $moment->later($delay), \array_slice($moments, $state->togetherFrom)),
                ];
            }
            $moments[] = $state->moment();
        }

        return new ChainTiming($chain, $moments, $links, $states);
    }

    /** In stance, weight even, hips square, at the start of a chain. */
    public function begin(HouseRules $rules, float $tempo = 1.0): BodyState
    {
        return new BodyState($this->body->startRange, $tempo, LeadHook::FrontFoot === $rules->schools->leadHook);
    }

    /**
     * Moves the state on by one item.
     *
     * @return Link|null what the body had to do for it; null for the first item
     */
    public function take(BodyState $state, Item $item): ?Link
    {
        $first = 0 === $state->count;
        $ready = $first ? 0.0 : $state->released + $this->gap($state->tempo);
        $state->delay = 0.0;
        $link = null;
        if ($item instanceof StrikeItem) {
            $link = $first ? null : $this->link($item, $state, $ready);
            $this->throw($item, $state, $ready, $link->wait ?? 0.0);
        } else {
            $link = $first ? null : new Link($state->count, 0.0, Verdict::Flows, null, [], 0);
            $this->move($item, $state, $ready);
        }
        ++$state->count;

        return $link;
    }

    private function link(StrikeItem $item, BodyState $state, float $ready): Link
    {
        $bands = $item->feint ? 0 : self::bands($item, $state->range);
        $parts = $this->missing($item, $state, $ready, $bands);
        if ([] === $parts) {
            return new Link($state->count, 0.0, Verdict::Flows, null, [], $bands);
        }
        arsort($parts);
        $wait = reset($parts);
        $cause = Cause::from(key($parts));
        $second = next($parts);
        $wait += false === $second ? 0.0 : $second / 2;

        return new Link($state->count, $wait, $this->verdict($wait, $state->tempo), $cause, $parts, $bands);
    }

    /** @return array<string, float> ms still missing by cause, only those above 0 */
    private function missing(StrikeItem $item, BodyState $state, float $ready, int $bands): array
    {
        $strike = $item->strike;
        $share = $item->feint ? $this->body->feint : 1.0;
        $parts = [];
        $load = abs($strike->needsLoad->gap($state->load)) * $this->body->loadRate * $share - $state->slack;
        if ($load > self::NOTHING) {
            $parts[Cause::Load->value] = $load;
        }
        $feet = null === $state->crossedBy ? 0.0 : (float) $this->body->closeStance;
        // It rides on the turn of the one before, but two legs cannot both leave the ground.
        if ($item->joined && $state->end > $state->impact && $item->isLegStrike()) {
            $feet += $state->end - $state->start;
        }
        if ($feet > self::NOTHING) {
            $parts[Cause::Feet->value] = $feet;
        }
        if ($bands > 0) {
            $parts[Cause::Range->value] = (float) ($this->body->firstBand + ($bands - 1) * $this->body->nextBand);
        }
        if (!$item->joined) {
            $limb = $state->limb($item);
            if (isset($state->limbs[$limb])) {
                $home = $state->limbs[$limb][$limb === $state->lastLimb ? 1 : 0] - $ready;
                if ($home > self::NOTHING) {
                    $parts[Cause::Limb->value] = $home;
                }
            }
            $turn = abs($strike->needsTurn->gap($state->turn)) * $this->body->turnRate * $share - $state->slack;
            if ($turn > self::NOTHING) {
                $parts[Cause::Turn->value] = $turn;
            }
        }

        return $parts;
    }

    /** ms from a release to the earliest start of what follows, at that tempo */
    public function gap(float $tempo): float
    {
        return $this->body->gap * $tempo;
    }

    /** Longest wait of a link that flows at that tempo, ms. */
    public function flowsUpTo(float $tempo): float
    {
        return $this->body->flows * $tempo;
    }

    private function verdict(float $wait, float $tempo): Verdict
    {
        return match (true) {
            $wait <= $this->flowsUpTo($tempo) => Verdict::Flows,
            $wait <= $this->body->reload * $tempo => Verdict::Reload,
            default => Verdict::Breaks,
        };
    }

    private function throw(StrikeItem $item, BodyState $state, float $ready, float $wait): void
    {
        $strike = $item->strike;
        $share = $item->feint ? $this->body->feint : 1.0;
        $out = $strike->out * $state->tempo * $share;
        $back = $strike->back * $state->tempo * $share;
        $start = $ready + $wait;
        $impact = $start + $out;
        if ($item->joined && null !== $state->impact) {
            $impact = max($state->impact, $state->start + $wait + $out);
            $start = $impact - $out;
            $this->hold($state, $impact - $state->impact);
        } else {
            $state->togetherFrom = $state->count;
        }

        $loadFrom = 0 === $state->count ? $state->load : $state->load - $strike->needsLoad->gap($state->load) * $share;
        $leaves = $state->frontFootHook ? $strike->frontFootLoad : $strike->leavesLoad;
        $load = $loadFrom + ($leaves - $loadFrom) * $share;
        $turn = $state->turn + ($strike->leavesTurn - $state->turn) * $share;
        if (!$item->feint) {
            $state->range = self::nearest($item, $state->range);
        }
        $state->start = $start;
        $state->impact = $impact;
        $state->end = $strike->limb->isArm() ? $impact : $impact + $back;
        [$state->loadFrom, $state->leftLoad, $state->leftTurn] = [$loadFrom, $load, $turn];
        $state->settle($load, $turn);
        $state->crossedBy = null;
        $state->released = max($state->released, $state->end);
        $limb = $state->limb($item);
        $state->limbs[$limb] = [$impact + $back, $impact + $back * $this->body->shortReturn, $state->count];
        $state->lastLimb = $limb;
        if ($item->landsForward && !$item->feint) {
            // The foot that comes down in front is now the lead foot: weight and hips read the other way round.
            $state->stanceChanged = !$state->stanceChanged;
            $state->settle(1.0 - $load, -$turn);
        }
    }

    /** Moves the strikes that land together with the one being taken, so that they land with it. */
    private function hold(BodyState $state, float $ms): void
    {
        if ($ms <= 0.0) {
            return;
        }
        $state->delay = $ms;
        $state->released += $ms;
        foreach ($state->limbs as $name => [$home, $short, $at]) {
            if ($at >= $state->togetherFrom) {
                $state->limbs[$name] = [$home + $ms, $short + $ms, $at];
            }
        }
    }

    private function move(Item $item, BodyState $state, float $ready): void
    {
        $state->loadFrom = $state->load;
        $duration = $item->duration($this->body) * $state->tempo;
        if ($item instanceof MoveItem) {
            $this->apply($item, $state, $duration);
        } else {
            // Back in stance: even, square to the line, closed.
            $state->settle(0.5, 0.0);
            $state->crossedBy = null;
        }
        $state->lastLimb = null;
        $state->start = $ready;
        $state->impact = null;
        $state->end = $state->released = $ready + $duration;
        $state->leftLoad = $state->load;
        $state->leftTurn = $state->turn;
        $state->togetherFrom = $state->count;
    }

    private function apply(MoveItem $item, BodyState $state, float $duration): void
    {
        $move = $item->move;
        if (null !== $move->load && null !== $move->turn) {
            $state->settle($move->load, $move->turn);
        } elseif (null !== $move->load) {
            [$state->load, $state->loadBy] = [$move->load, $state->count];
            $state->slack += $duration;
        } else {
            $state->slack += $duration;
        }
        $state->range = $move->toClinch ? 1 : max(1, min(5, $state->range + $move->range));
        $state->crossedBy = match ($move->feet) {
            Feet::Cross => $state->count,
            Feet::Stay => $state->crossedBy,
            default => null,
        };
        if ($move->changesStance()) {
            $state->stanceChanged = !$state->stanceChanged;
        }
    }

    private static function bands(StrikeItem $item, int $range): int
    {
        return abs(self::nearest($item, $range) - $range);
    }

    /** The reachable band nearest to where the athlete stands. */
    private static function nearest(StrikeItem $item, int $range): int
    {
        $ranges = $item->strike->ranges($item->target);

        return max($ranges[0], min($ranges[\count($ranges) - 1], $range));
    }
}
