<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Feet;

/**
 * Carries the body's state along a chain and books, in ms, what each strike finds missing when it could start.
 *
 * A strike can start a gap after the release of what came before. Each of five causes may still be missing then;
 * the wait is the longest of them and half of the second longest. Times of strikes, moves and the gap follow the
 * tempo, and so do the limits of the verdicts, since a stop is seen against the rhythm around it; the body's own
 * rates do not. So a chain can flow slowly and break when fast.
 */
final readonly class Bookkeeper
{
    private Reasons $reasons;

    public function __construct(private Body $body)
    {
        $this->reasons = new Reasons();
    }

    public function book(Chain $chain, HouseRules $rules, float $tempo = 1.0): Ledger
    {
        $state = new State($this->body->startRange);
        $moments = [];
        $links = [];
        foreach ($chain->items as $at => $item) {
            $ready = 0 === $at ? 0.0 : $state->released + $this->body->gap * $tempo;
            if ($item instanceof StrikeItem) {
                $parts = 0 === $at ? [] : $this->missing($item, $state, $ready, $moments[$at - 1] ?? null);
                $bands = $item->feint ? 0 : self::bands($item, $state->range);
                if ($at > 0) {
                    $links[] = $this->link($chain, $at, $parts, $bands, $state, $tempo);
                }
                $this->throw($item, $at, $state, $ready, 0 === $at ? 0.0 : $links[$at - 1]->wait, $rules, $tempo, $moments);
            } else {
                if ($at > 0) {
                    $links[] = $this->link($chain, $at, [], 0, $state, $tempo);
                }
                $moments[] = $this->move($item, $at, $state, $ready, $tempo);
            }
        }

        return new Ledger($chain, $moments, $links);
    }

    /** @return array<string, float> ms still missing by cause */
    private function missing(StrikeItem $item, State $state, float $ready, ?Moment $before): array
    {
        $strike = $item->strike;
        $share = $item->feint ? $this->body->feint : 1.0;
        $parts = [
            Cause::Load->value => max(0.0, abs($strike->needsLoad->gap($state->load)) * $this->body->loadRate * $share - $state->slack),
            Cause::Feet->value => null === $state->crossedBy ? 0.0 : (float) $this->body->closeStance,
            Cause::Range->value => $item->feint ? 0.0 : $this->distance(self::bands($item, $state->range)),
        ];
        if ($item->joined) {
            // It rides on the turn of the one before, but two legs cannot both leave the ground.
            if ($item->isLegStrike() && null !== $before && null !== $before->impact && $before->end > $before->impact) {
                $parts[Cause::Feet->value] += $before->end - $before->start;
            }
        } else {
            $limb = $state->limb($item);
            $last = $state->limbs[$limb] ?? null;
            $home = null === $last ? 0.0 : ($limb === $state->lastLimb ? $last['short'] : $last['home']);
            $parts[Cause::Limb->value] = max(0.0, $home - $ready);
            $parts[Cause::Turn->value] = max(0.0, abs($strike->needsTurn->gap($state->turn)) * $this->body->turnRate * $share - $state->slack);
        }
        // A rounding error is no wait.
        $parts = array_filter($parts, static fn (float $ms): bool => $ms > 0.001);
        arsort($parts);

        return $parts;
    }

    /** @param array<string, float> $parts longest first */
    private function link(Chain $chain, int $at, array $parts, int $bands, State $state, float $tempo): Link
    {
        $longest = array_values($parts);
        $wait = ($longest[0] ?? 0.0) + ($longest[1] ?? 0.0) / 2;
        $cause = [] === $parts ? null : Cause::from(array_key_first($parts));

        return new Link($at, $wait, $this->verdict($wait, $tempo), $cause, $parts, $bands, $this->reasons->of($chain, $at, $parts, $bands, $state));
    }

    private function verdict(float $wait, float $tempo): Verdict
    {
        return match (true) {
            $wait <= $this->body->flows * $tempo => Verdict::Flows,
            $wait <= $this->body->reload * $tempo => Verdict::Reload,
            default => Verdict::Breaks,
        };
    }

    /** @param list<Moment> $moments the strike's own is added; strikes it is joined to may move, so that they land together */
    private function throw(StrikeItem $item, int $at, State $state, float $ready, float $wait, HouseRules $rules, float $tempo, array &$moments): void
    {
        $strike = $item->strike;
        $share = $item->feint ? $this->body->feint : 1.0;
        $out = $strike->out * $tempo * $share;
        $back = $strike->back * $tempo * $share;
        $start = $ready + $wait;
        $impact = $start + $out;
        if ($item->joined) {
            $before = $moments[$at - 1];
            $together = max((float) $before->impact, $before->start + $wait + $out);
            $this->delay($together - (float) $before->impact, $at, $state, $moments);
            [$start, $impact] = [$together - $out, $together];
        }

        $from = $strike->needsLoad->gap($state->load) * $share;
        $loadFrom = 0 === $at ? $state->load : $state->load - $from;
        $leaves = $rules->frontFootHook ? $strike->frontFootLoad : $strike->leavesLoad;
        $load = $loadFrom + ($leaves - $loadFrom) * $share;
        $turn = $state->turn + ($strike->leavesTurn - $state->turn) * $share;
        if (!$item->feint) {
            $state->range = self::nearest($item, $state->range);
        }
        $end = $item->isLegStrike() ? $impact + $back : $impact;
        $moments[] = new Moment($start, $impact, $end, $loadFrom, $load, $turn, $state->range);

        $state->settle($load, $turn, $at);
        $state->crossedBy = null;
        $state->released = max($state->released, $end);
        $limb = $state->limb($item);
        $state->limbs[$limb] = ['home' => $impact + $back, 'short' => $impact + $back * $this->body->shortReturn, 'at' => $at];
        $state->lastLimb = $limb;
        if ($item->landsForward && !$item->feint) {
            // The foot that comes down in front is now the lead foot: weight and hips read the other way round.
            $state->stanceChanged = !$state->stanceChanged;
            $state->settle(1.0 - $load, -$turn, $at);
        }
    }

    /**
     * Moves the strikes that land together with the one at $at.
     *
     * @param list<Moment> $moments
     */
    private function delay(float $ms, int $at, State $state, array &$moments): void
    {
        if ($ms <= 0.0) {
            return;
        }
        $first = $at - 1;
        while ($first > 0 && $moments[$first]->impact === $moments[$first - 1]->impact) {
            --$first;
        }
        for ($place = $first; $place < $at; ++$place) {
            $state->released = max($state->released, $moments[$place]->end + $ms);
        }
        $moments = [
            ...\array_slice($moments, 0, $first),
            ...array_map(static fn (Moment $moment): Moment => $moment->later($ms), \array_slice($moments, $first)),
        ];
        foreach ($state->limbs as $name => $limb) {
            if ($limb['at'] >= $first) {
                $state->limbs[$name] = ['home' => $limb['home'] + $ms, 'short' => $limb['short'] + $ms, 'at' => $limb['at']];
            }
        }
    }

    private function move(Item $item, int $at, State $state, float $ready, float $tempo): Moment
    {
        $loadFrom = $state->load;
        $duration = match (true) {
            $item instanceof MoveItem => $item->move->duration,
            $item instanceof FreeStrikes => $item->count * $this->body->freeStrike,
            $item instanceof Beat => $this->body->beat,
            default => throw new \LogicException('There is no time for '.$item::class),
        } * $tempo;
        if ($item instanceof MoveItem) {
            $this->apply($item, $at, $state, $duration);
        } else {
            // Back in stance: even, square to the line, closed.
            $state->settle(0.5, 0.0, $at);
            $state->crossedBy = null;
        }
        $state->lastLimb = null;
        $state->released = $ready + $duration;

        return new Moment($ready, null, $state->released, $loadFrom, $state->load, $state->turn, $state->range);
    }

    private function apply(MoveItem $item, int $at, State $state, float $duration): void
    {
        $move = $item->move;
        if (null !== $move->load && null !== $move->turn) {
            $state->settle($move->load, $move->turn, $at);
        } elseif (null !== $move->load) {
            [$state->load, $state->loadBy] = [$move->load, $at];
            $state->slack += $duration;
        } else {
            $state->slack += $duration;
        }
        $state->range = $move->toClinch ? 1 : max(1, min(5, $state->range + $move->range));
        $state->crossedBy = match ($move->feet) {
            Feet::Cross => $at,
            Feet::Stay => $state->crossedBy,
            default => null,
        };
        if ($move->changesStance()) {
            $state->stanceChanged = !$state->stanceChanged;
        }
    }

    /** ms to cover that many bands */
    private function distance(int $bands): float
    {
        return 0 === $bands ? 0.0 : (float) ($this->body->firstBand + ($bands - 1) * $this->body->nextBand);
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
