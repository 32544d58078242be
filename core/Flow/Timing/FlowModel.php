<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\JabStep;
use Periplus\Core\HouseRules\LeadHook;
use Periplus\Core\Technique\Body;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Pushed;
use Periplus\Core\Technique\Role;

/**
 * Moves the body state along a chain and adds up, in ms, what each strike is missing when it could start.
 *
 * A strike can start one gap after the release of the item before it. Each of five causes may still be missing then;
 * the wait is the longest of them plus half of the second longest. Times of strikes, moves and the gap scale with the
 * tempo, and so do the limits of the verdicts, because a stop is seen against the rhythm around it; the rates of the
 * body do not. So a chain can flow slowly and break when fast.
 */
final readonly class FlowModel
{
    /** Parts below this are rounding errors and no wait, ms. */
    private const TOLERANCE_MS = 0.001;
    /** The band of straights. */
    private const STRAIGHTS = 3;

    /** @param Medium $medium a bag that swings back changes the ranges, and nothing else */
    public function timing(
        Chain $chain,
        HouseRules $rules,
        float $tempo = 1.0,
        Medium $medium = Medium::Shadow,
    ): ChainTiming {
        $state = $this->begin($rules, $tempo, $medium);
        $links = $states = [];
        /** @var list<Moment> $moments */
        $moments = [];
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
                    ...array_map(
                        static fn (Moment $moment): Moment => $moment->later($delay),
                        \array_slice($moments, $state->togetherFrom),
                    ),
                ];
            }
            $moments[] = $state->moment();
        }

        return new ChainTiming($chain, $this->withLegsUp($chain, $moments), $links, $states, $state);
    }

    /**
     * Returns the link from the last item of a chain back to its first.
     *
     * @param float $gap ms between the repetitions, in which the athlete comes back into stance and range
     */
    public function seam(ChainTiming $timing, float $gap = 0.0): Seam
    {
        $state = clone $timing->end;
        $state->released += $gap;
        $state->slack += $gap;
        // Where the chain begins counts the first time; then it goes on from where it is.
        $items = $timing->chain->items;
        $first = $items[0] instanceof MoveItem && $items[0]->move->isStart() ? $items[1] ?? $items[0] : $items[0];
        $link = $this->link($first, $state, $this->ready($first, $state), $gap);

        return new Seam($link, [...$items, $first], $state);
    }

    /**
     * Ends each kick whose leg stays up where the next one of that leg begins.
     *
     * @param list<Moment> $moments
     *
     * @return list<Moment>
     */
    private function withLegsUp(Chain $chain, array $moments): array
    {
        return array_map(static function (int $index, Moment $moment) use ($chain, $moments): Moment {
            $next = $chain->items[$index + 1] ?? null;

            return $next instanceof StrikeItem && $next->legUp ? $moment->until($moments[$index + 1]->start) : $moment;
        }, array_keys($moments), $moments);
    }

    /** Returns the start of a chain: in stance, weight even, hips square. */
    public function begin(HouseRules $rules, float $tempo = 1.0, Medium $medium = Medium::Shadow): BodyState
    {
        return new BodyState(
            $rules->calibration->catalogue(),
            $tempo,
            LeadHook::FrontFoot === $rules->schools->leadHook,
            JabStep::In === $rules->schools->jabStep,
            $medium->properties()->pushed,
        );
    }

    /**
     * Moves the state by one item.
     *
     * @return Link|null what the body had to do for it; null for the first item
     */
    public function take(BodyState $state, Item $item): ?Link
    {
        $first = 0 === $state->count;
        $ready = $first ? 0.0 : $this->ready($item, $state);
        $state->delay = 0.0;
        $link = $first ? null : $this->link($item, $state, $ready);
        $wait = $link->wait ?? 0.0;
        $item instanceof StrikeItem
            ? $this->throw($item, $state, $ready, $wait)
            : $this->move($item, $state, $ready + $wait);
        ++$state->count;

        return $link;
    }

    /** Returns when an item could start: after what was before it, with its move, or as soon as the leg is back up. */
    private function ready(Item $item, BodyState $state): float
    {
        return match (true) {
            !$item instanceof StrikeItem => $state->released + $this->gap($state),
            $item->legUp => (float) $state->impact + $this->chamber($state),
            $item->joined && $state->moved() => $state->start,
            default => $state->released + $this->gap($state),
        };
    }

    /** Returns the ms from the impact of a kick until its leg, which stays up, can kick again. */
    private function chamber(BodyState $state): float
    {
        return ($state->end - (float) $state->impact) * $state->catalogue->body->chamber;
    }

    /** @param float $gap ms in which the athlete can come into range */
    private function link(Item $item, BodyState $state, float $ready, float $gap = 0.0): Link
    {
        $bands = $item instanceof StrikeItem && !$item->feint ? abs($this->bandsAway($item, $state)) : 0;
        $parts = match (true) {
            $item instanceof StrikeItem => $this->missing($item, $state, $ready, $bands),
            $item instanceof MoveItem => $this->missingForMove(
                $state->catalogue->moves[$item->move->id],
                $state,
                $ready,
            ),
            default => [],
        };
        if (isset($parts[Cause::Range->value]) && $gap > 0.0) {
            $parts[Cause::Range->value] -= $gap;
            $parts = array_filter($parts, static fn (float $ms): bool => $ms > self::TOLERANCE_MS);
        }
        if ([] === $parts) {
            return new Link($state->count, 0.0, Verdict::Flows, null, [], $bands);
        }
        arsort($parts);
        $wait = reset($parts);
        $cause = Cause::from(key($parts));
        $second = next($parts);
        $wait += false === $second ? 0.0 : $second / 2;

        return new Link($state->count, $wait, $this->verdict($wait, $state), $cause, $parts, $bands);
    }

    /** @return array<string, float> ms still missing by cause, only those above 0 */
    private function missing(StrikeItem $item, BodyState $state, float $ready, int $bands): array
    {
        if ($item->legUp) {
            return $this->missingForLegUp($item, $state, $bands);
        }
        $goesWithMove = $item->joined && $state->moved();
        $state = $state->foundBy($item);
        $strike = $state->catalogue->strikes[$item->strike->id];
        $body = $state->catalogue->body;
        $limb = $state->limb($item);
        // An arm that strikes again does not come all the way back.
        $again =
            ($limb === $state->lastLimb && $strike->limb->isArm() && !$item->joined) || $limb === $state->changedLimb;
        $turnsOver = $this->turnsOver($item, $state);
        $share =
            ($item->feint ? $body->feint : 1.0)
            * $state->heavy
            * match (true) {
                $turnsOver => $body->turnOver,
                $again => $body->shortReturn,
                default => 1.0,
            };
        $parts = [];
        $load = abs($strike->needsLoad->gap($state->load)) * $body->loadRate * $share - $state->slack;
        if ($load > self::TOLERANCE_MS) {
            $parts[Cause::Load->value] = $load;
        }
        $isCrossed = null !== $state->crossedBy && !($goesWithMove && $state->crossedBy === $state->count - 1);
        $feet = $isCrossed ? $body->closeStance : 0.0;
        // A joined strike uses the turn of the one before it, but two legs cannot both leave the ground.
        if ($item->joined && !$goesWithMove && $state->end > $state->impact && $item->isLegStrike()) {
            $feet += $state->end - $state->start;
        }
        if ($feet > self::TOLERANCE_MS) {
            $parts[Cause::Feet->value] = $feet;
        }
        $range = 0 === $bands ? 0.0 : $this->range($item, $state, $bands);
        if ($range > self::TOLERANCE_MS) {
            $parts[Cause::Range->value] = $range;
        }
        if ($item->joined && !$goesWithMove) {
            // Two arms at one moment would turn the hips both ways.
            $apart =
                $strike->limb->isArm() && null !== $state->lastLimb && $state->lastLimb < 2
                    ? abs($strike->leavesTurn - $state->leftTurn) * $body->turnRate
                    : 0.0;
            if ($apart > self::TOLERANCE_MS) {
                $parts[Cause::Turn->value] = $apart;
            }

            return $parts;
        }
        if (isset($state->limbs[$limb])) {
            $impact = (float) $state->impact;
            $home = $turnsOver
                ? $impact + ($state->limbs[$limb][0] - $impact) * $body->turnOver
                : $state->limbs[$limb][$limb === $state->lastLimb ? 1 : 0];
            $home -= $ready;
            if ($home > self::TOLERANCE_MS) {
                $parts[Cause::Limb->value] = $home;
            }
        }
        $needs = $strike->needsTurn($item->target);
        $turn = abs($needs->gap($state->turn));
        if ($limb === $state->changedLimb) {
            // A change of the feet resets the hips for the other side, but not for a limb that is still extended.
            $turn = max($turn, abs($needs->gap($state->changedTurn)));
        }
        $turn = $turn * $body->turnRate * $share - $state->slack;
        if ($turn > self::TOLERANCE_MS) {
            $parts[Cause::Turn->value] = $turn;
        }

        return $parts;
    }

    /**
     * Returns what a kick is missing whose leg is still up: the weight is over the other foot already, and the hips
     * turn while the leg comes back.
     *
     * @return array<string, float> ms by cause, only those above 0
     */
    private function missingForLegUp(StrikeItem $item, BodyState $state, int $bands): array
    {
        $strike = $state->catalogue->strikes[$item->strike->id];
        $body = $state->catalogue->body;
        $share = ($item->feint ? $body->feint : 1.0) * $state->heavy;
        $turn = abs($strike->needsTurn($item->target)->gap($state->turn)) * $body->turnRate * $share;
        $parts = [
            Cause::Turn->value => $turn - $this->chamber($state),
            Cause::Range->value => 0 === $bands
                ? 0.0
                : $this->range($item, $state, $bands),
        ];

        return array_filter($parts, static fn (float $ms): bool => $ms > self::TOLERANCE_MS);
    }

    /**
     * Returns what a move is missing: a free foot, the weight close enough to where it goes, and the head not there
     * already.
     *
     * @return array<string, float> ms by cause, only those above 0
     */
    private function missingForMove(Move $move, BodyState $state, float $ready): array
    {
        $body = $state->catalogue->body;
        $parts = [];
        $load = abs($move->needsLoad?->gap($state->load) ?? 0.0) * $body->loadRate * $state->heavy;
        if (null !== $move->load && MoveKind::Defence === $move->kind) {
            // The weight already travels during the move itself.
            $load = max(
                $load,
                abs($move->load - $state->load) * $body->loadRate * $state->heavy - $move->duration * $state->tempo,
            );
        }
        if (MoveKind::Footwork === $move->kind && null !== $move->toward && $move->toward === $state->head) {
            // The weight is on its way there already: the athlete falls into the step.
            $load *= $body->withSlip;
        }
        if ($load - $state->slack > self::TOLERANCE_MS) {
            $parts[Cause::Load->value] = $load - $state->slack;
        }
        if (null !== $state->head && $state->head === $move->headTo()) {
            $back = max(abs($state->load - 0.5) * $body->loadRate, abs($state->turn) * $body->turnRate) - $state->slack;
            if ($back > self::TOLERANCE_MS) {
                $parts[Cause::Head->value] = $back;
            }
        }
        if (null !== $move->foot && MoveKind::Defence === $move->kind) {
            $home = ($state->limbs[$state->leg($move->foot)][0] ?? 0.0) - $ready;
            if ($home > self::TOLERANCE_MS) {
                $parts[Cause::Limb->value] = $home;
            }
        }

        return $parts;
    }

    /**
     * Returns the ms needed to close range bands. One band is drifted, unless a jab has stepped in already, the
     * opponent is held, or a hand that works close follows a rear kick, which took the weight back as it came home.
     */
    private function range(StrikeItem $item, BodyState $state, int $bands): float
    {
        $body = $state->catalogue->body;
        $nearer = $this->bandsAway($item, $state) < 0;
        $first = match (true) {
            $nearer && $state->jabbed => 0.0,
            !$nearer && $state->held, $nearer && $state->goesBackFrom($item) => $body->nextBand,
            default => $body->firstBand,
        };

        return $first + ($bands - 1) * $body->nextBand;
    }

    /** Returns the ms from a release to the earliest start of the next item. */
    public function gap(BodyState $state): float
    {
        return $state->catalogue->body->gap * $state->tempo;
    }

    /** Returns the longest wait of a link that still flows at that tempo, in ms. */
    public function flowsUpTo(HouseRules $rules, float $tempo): float
    {
        return $rules->calibration->catalogue()->body->flows * $tempo;
    }

    private function verdict(float $wait, BodyState $state): Verdict
    {
        $body = $state->catalogue->body;

        return match (true) {
            $wait <= $body->flows * $state->tempo => Verdict::Flows,
            $wait <= $body->reload * $state->tempo => Verdict::Reload,
            default => Verdict::Breaks,
        };
    }

    private function throw(StrikeItem $item, BodyState $state, float $ready, float $wait): void
    {
        $strike = $state->catalogue->strikes[$item->strike->id];
        $body = $state->catalogue->body;
        $heavy = Effort::Hard === $item->effort && !$item->feint ? $body->hard : 1.0;
        $uses = $item->feint ? $body->feint : 1.0;
        $puts = $uses * (Effort::Light === $item->effort ? $body->light : 1.0);
        $out =
            $strike->out
            * $state->tempo
            * $uses
            * match (true) {
                $item->legUp => $body->legUp,
                $this->turnsOver($item, $state) => $body->turnOverOut,
                default => 1.0,
            };
        $back = $strike->back * $state->tempo * $uses * $heavy;
        $start = $ready + $wait;
        $impact = $start + $out;
        $goesWithMove = $item->joined && $state->moved();
        if ($goesWithMove) {
            // The foot lands as the strike does.
            $impact = $start + max($out, $state->end - $state->start);
            $state->togetherFrom = $state->count;
        } elseif ($item->joined && null !== $state->impact) {
            $impact = max($state->impact, $state->start + $wait + $out);
            $start = $impact - $out;
            $this->hold($state, $impact - $state->impact);
        } else {
            $state->togetherFrom = $state->count;
        }

        $path = $state->foundBy($item);
        $loadFrom = 0 === $state->count ? $state->load : $path->load - $strike->needsLoad->gap($path->load) * $uses;
        if ($item->legUp) {
            $loadFrom = $state->load;
        }
        $leaves = $state->frontFootHook ? $strike->frontFootLoad : $strike->leavesLoad;
        // The weight follows the path of a move that carries it.
        $load =
            $goesWithMove && $state->loadBy === $state->count - 1
                ? $state->load
                : $loadFrom + ($leaves - $loadFrom) * $puts;
        $turn = $path->turn + ($strike->leavesTurn - $path->turn) * $puts;
        $state->met = null;
        if (!$item->feint) {
            $state->met = $range = $this->met($item, $state);
            $state->held = $state->held && $range === $state->range;
            $state->cameHome = $this->comesHome($item);
            $state->range = $this->landed($item, $range);
            $state->swingsTo = null;
        }
        $isArm = $strike->limb->isArm();
        $state->start = $start;
        $state->impact = $impact;
        $state->end = $isArm ? $impact : $impact + $back;
        [$state->loadFrom, $state->leftLoad, $state->leftTurn] = [$loadFrom, $load, $turn];
        $state->settle($load, $turn);
        $state->crossedBy = null;
        $state->head = null;
        $state->jabbed = $state->jabStepsIn && 'jab' === $strike->id && !$item->feint;
        $state->released = max($state->released, $state->end);
        $limb = $state->limb($item);
        $state->limbs[$limb] = $isArm
            ? [$impact + $back, $impact + $back * $body->shortReturn, $state->count]
            : array_fill(0, 2, $state->end + $body->legAgain * $uses * $heavy) + [2 => $state->count];
        [$state->lastLimb, $state->last] = [$limb, $item->strike];
        [$state->changedLimb, $state->changedTurn] = [null, 0.0];
        if ($item->changesStance()) {
            // The other foot leads now, so weight and hips are read the other way round.
            $state->stanceChanged = !$state->stanceChanged;
            $state->settle(1.0 - $load, -$turn);
        }
        $state->heavy = $heavy;
        // While a leg comes back the body can recover.
        $state->slack = $isArm ? 0.0 : $back;
    }

    /** Delays the strikes that land together with the current one, so that they land with it. */
    private function hold(BodyState $state, float $ms): void
    {
        if ($ms <= 0.0) {
            return;
        }
        $state->delay = $ms;
        $state->released += $ms;
        foreach ($state->limbs as $name => [$home, $short, $index]) {
            if ($index >= $state->togetherFrom) {
                $state->limbs[$name] = [$home + $ms, $short + $ms, $index];
            }
        }
    }

    private function move(Item $item, BodyState $state, float $ready): void
    {
        $state->loadFrom = $this->loadAt($item, $state);
        [$state->pathLoad, $state->pathTurn] = $item->changesStance()
            ? [1.0 - $state->loadFrom, -$state->turn]
            : [$state->loadFrom, $state->turn];
        $state->start = $ready;
        $move = $item instanceof MoveItem ? $state->catalogue->moves[$item->move->id] : null;
        $duration = ($move->duration ?? $item->duration($state->catalogue->body)) * $state->tempo;
        if (null !== $move) {
            $this->apply($move, $state, $duration);
        } else {
            // Back in stance: weight even, hips square, feet closed.
            $state->settle(0.5, 0.0);
            $state->crossedBy = null;
            $state->head = null;
            $state->changedLimb = null;
            $state->held = $state->cameHome = false;
            [$state->range, $state->swingsTo] = [$state->swingsTo ?? $state->range, null];
        }
        [$state->lastLimb, $state->last] = [null, null];
        $state->jabbed = false;
        $state->impact = $state->met = null;
        $state->end = $state->released = $ready + $duration;
        if (null !== $move?->startsAt) {
            // What comes first begins at once.
            $state->released -= $this->gap($state);
        }
        $state->leftLoad = $state->load;
        $state->leftTurn = $state->turn;
        $state->togetherFrom = $state->count;
    }

    private function apply(Move $move, BodyState $state, float $duration): void
    {
        $this->changeFeet($move, $state, $duration);
        if (null !== $move->load && null !== $move->turn) {
            $state->settle($move->load, $move->turn);
        } elseif (null !== $move->load) {
            [$state->load, $state->loadBy] = [$move->load, $state->count];
            $state->slack += $duration;
        } else {
            $state->slack += $duration;
        }
        $this->changeRange($move, $state);
        $state->held = 1 === $move->startsAt || $move->toClinch || ($state->held && 0 === $move->range);
        $state->crossedBy = match ($move->feet) {
            Feet::Cross => $state->count,
            Feet::Stay => $state->crossedBy,
            default => null,
        };
        if (null !== $move->load) {
            $state->head = $move->headTo();
        }
        // Only the feet bring the athlete nearer again.
        $state->cameHome = $state->cameHome && MoveKind::Defence === $move->kind;
    }

    private function changeRange(Move $move, BodyState $state): void
    {
        $before = $state->range;
        $pushes = MoveKind::Contact === $move->kind && $move->range > 0;
        if ($pushes && Pushed::Stays === $state->pushed) {
            return;
        }
        $state->range = $move->startsAt ?? ($move->toClinch ? 1 : self::band($before + $move->range));
        $state->swingsTo = match (true) {
            $move->toClinch => null,
            $pushes => Pushed::Swings === $state->pushed ? $state->swingsTo ?? $before : null,
            null === $state->swingsTo => null,
            default => self::band($state->swingsTo + $move->range),
        };
    }

    private static function band(int $range): int
    {
        return max(1, min(5, $range));
    }

    /**
     * Returns the range after a strike: a foot that comes down in front or behind takes the body with it, a rear kick
     * that comes home leaves the room that it needed, and one that comes down half way stays where it struck.
     */
    private function landed(StrikeItem $item, int $range): int
    {
        return match ($item->landing) {
            Landing::Back => $this->comesHome($item) ? max($range, self::STRAIGHTS) : $range,
            Landing::HalfWay => $range,
            Landing::Forward => self::band($range - 1),
            Landing::Behind => self::band($range + 1),
        };
    }

    private function comesHome(StrikeItem $item): bool
    {
        return Limb::Leg === $item->strike->limb
            && Role::Rear === $item->strike->role
            && Landing::Back === $item->landing;
    }

    /** Tells whether the hand of the last strike turns over into this one without coming home. */
    private function turnsOver(StrikeItem $item, BodyState $state): bool
    {
        return null !== $state->last
            && !$item->joined
            && $state->limb($item) === $state->lastLimb
            && \in_array($item->strike->family, $state->last->turnsInto, true);
    }

    /** Applies what the feet of a move do to the limbs. */
    private function changeFeet(Move $move, BodyState $state, float $duration): void
    {
        if ($move->changesStance()) {
            $state->stanceChanged = !$state->stanceChanged;
            $state->changedLimb ??= $state->lastLimb;
            $state->changedTurn =
                null === $state->changedLimb ? 0.0 : -(null === $state->lastLimb ? $state->changedTurn : $state->turn);
            if (null !== $state->lastLimb && $state->lastLimb >= 2) {
                // The move does not free the leg that has just struck any sooner.
                $this->stepped($state, $state->lastLimb, $duration);
            }

            return;
        }
        if (null !== $move->load) {
            [$state->changedLimb, $state->changedTurn] = [null, 0.0];
        }
        if (null !== $move->foot && MoveKind::Footwork === $move->kind) {
            $this->stepped($state, $state->leg($move->foot), $duration);
        }
    }

    /** Marks a leg as stepped: its foot comes down at the end of the move. */
    private function stepped(BodyState $state, int $leg, float $duration): void
    {
        $free = $state->start + $duration + $state->catalogue->body->legAgain;
        $state->limbs[$leg] = [$free, $free, $state->count];
    }

    /** Returns the load at the start of an item, including its wait. */
    private function loadAt(Item $item, BodyState $state): float
    {
        $needs =
            $item instanceof MoveItem && $state->count > 0
                ? $state->catalogue->moves[$item->move->id]->needsLoad
                : null;

        return $state->load - ($needs?->gap($state->load) ?? 0.0);
    }

    /** Returns how many bands the strike is away: below 0 nearer, above 0 further out, 0 when it reaches. */
    private function bandsAway(StrikeItem $item, BodyState $state): int
    {
        $ranges = $item->strike->ranges($item->target);
        $closest = $state->swingsTo ?? $state->range;
        $furthest = $ranges[\count($ranges) - 1];

        return match (true) {
            $furthest < $closest => $furthest - $closest,
            $ranges[0] > $state->range => $ranges[0] - $state->range,
            default => 0,
        };
    }

    /** Returns the band in which the strike meets the opponent: the one nearest to the athlete that it reaches. */
    private function met(StrikeItem $item, BodyState $state): int
    {
        $ranges = $item->strike->ranges($item->target);

        return max($ranges[0], min($ranges[\count($ranges) - 1], $state->swingsTo ?? $state->range));
    }
}
