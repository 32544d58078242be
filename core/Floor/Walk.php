<?php

declare(strict_types=1);

namespace Periplus\Core\Floor;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

/**
 * Walks a chain over the floor: where both stand at each item. The distance is that of the range band in which the
 * model has the item. Before a strike the athlete turns to the opponent and comes to the distance at which it meets
 * them; moves go to the side, round the opponent or about the front foot as core/data/floor.json says. The
 * opponent stays where they are and faces where they faced, until a push moves them or a beat gives them time to turn.
 */
final class Walk
{
    private readonly FloorData $data;
    private readonly Build $build;
    /** How far the feet go for one band of range, m. */
    private readonly float $band;
    private Standing $us;
    private Standing $them;
    private int $range;
    /** @var list<Place> */
    private array $places;

    private function __construct(
        private readonly ChainInStance $chain,
        private readonly ChainTiming $timing,
        Opponent $opponent,
        Athlete $athlete,
    ) {
        $this->data = FloorData::builtIn();
        $this->build = new Build($athlete);
        $this->band = $athlete->footing->stepPerBand;
        $first = $chain->chain->items[0] ?? null;
        $this->range =
            ($first instanceof MoveItem ? $first->move->startsAt : null) ?? ($timing->states[0] ?? $timing->end)->range;
        $this->them = new Standing(new Point(0.0, 0.0), 180.0, $opponent->stance);
        $this->us = $this->facing(
            new Point(
                $opponent->isOpenTo($chain->stance)
                    ? (Stance::Orthodox === $chain->stance ? -1.0 : 1.0) * $this->data->value('outside')
                    : 0.0,
                $this->distance($this->range),
            ),
            $this->range,
            $chain->stance,
        );
        $this->places = [new Place(null, 0.0, 0.0, $this->us, $this->them, $this->us)];
    }

    /** @return list<Place> the start, then one for each item, and one more where a kick comes down somewhere else */
    public static function of(
        ChainInStance $chain,
        ChainTiming $timing,
        Opponent $opponent,
        Athlete $athlete,
    ): array {
        $walk = new self($chain, $timing, $opponent, $athlete);
        foreach (array_keys($chain->chain->items) as $index) {
            $walk->take($index);
        }

        return $walk->places;
    }

    private function take(int $index): void
    {
        $item = $this->chain->chain->items[$index];
        $moment = $this->timing->moments[$index];
        $before = $this->us;
        if ($item instanceof StrikeItem) {
            if (null !== $moment->met) {
                $this->us = $this->facing($this->us->middle, $moment->met, $this->us->stance);
                $this->range = $moment->met;
            }
            $this->add($index, $moment->start, $moment->impact ?? $moment->end, $before);
            $this->land($index, $item);

            return;
        }
        if ($item instanceof MoveItem) {
            $this->move($item, $moment->range);
        } elseif ($item instanceof Beat) {
            $this->them = $this->them->at(
                $this->them->middle,
                // Between 0 and 360, because they begin at 180.
                fmod($this->them->middle->directionTo($this->us->middle) + 360.0, 360.0),
            );
        }
        $this->range = $moment->range;
        $this->add($index, $moment->start, $moment->end, $before);
    }

    private function add(int $index, float $fromMs, float $ms, Standing $before, bool $landed = false): void
    {
        $this->places[] = new Place(
            at: $index,
            fromMs: $fromMs,
            ms: $ms,
            us: $this->us,
            them: $this->them,
            before: $before,
            landed: $landed,
        );
    }

    /** Brings the athlete to where the strike leaves them, and the foot of a kick down where it does not go home. */
    private function land(int $index, StrikeItem $item): void
    {
        $before = $this->us;
        $moment = $this->timing->moments[$index];
        $isHalfWay = Landing::HalfWay === $item->landing && !$item->feint;
        $this->us = $this->step($this->us, $moment->range);
        $this->range = $moment->range;
        if ($item->changesStance()) {
            $this->us = $this->us->inStance($this->us->stance->other());
        } elseif ($isHalfWay) {
            $this->us = new Standing(
                $before->middle,
                $before->heading,
                $before->stance,
                rearAhead: $this->build->halfStance,
            );
        }
        if ($isHalfWay || $item->changesStance()) {
            $this->add($index, (float) $moment->impact, $moment->end, $before, landed: true);
        }
    }

    private function move(MoveItem $item, int $range): void
    {
        $move = $item->move;
        if (MoveKind::Contact === $move->kind && $range > $this->range) {
            $this->them = $this->them->at(
                $this->them->middle->moved($this->us->heading, ($range - $this->range) * $this->band),
            );

            return;
        }
        $on = $this->data->move($move);
        $lead = $this->us->sign(Role::Lead);
        $us = $this->step($this->us, $range);
        if (Feet::Stay !== $move->feet) {
            $us = $us->inStance($move->changesStance() ? $us->stance->other() : $us->stance);
        }
        $us = $us->at($us->middle->moved($us->heading, $on->ahead, $lead * $on->lead));
        if (0.0 !== $on->turn) {
            // To the lead side the body goes round the front foot, and the heading turns to the rear side.
            $foot = $us->foot(Role::Lead, $this->build);
            $heading = $us->heading - $lead * $on->turn;
            $us = $us->at(
                $foot->moved($heading, -$this->build->halfStance, -$lead * $this->build->halfWidth),
                $heading,
            );
        } elseif (0.0 !== $on->around) {
            $from = $this->them->middle;
            $direction = $from->directionTo($us->middle) - $lead * $on->around;
            $middle = $from->moved($direction, $from->distanceTo($us->middle));
            $us = $us->at($middle, $middle->directionTo($from));
        } elseif (0.0 !== $on->lead) {
            $us = $us->at($us->middle, $us->middle->directionTo($this->them->middle));
        }
        $this->us = Feet::Cross === $move->feet
            ? new Standing($us->middle, $us->heading, $us->stance, crossed: true)
            : $us;
    }

    /** Returns the athlete at the distance of another band; where they were when it is the same one. */
    private function step(Standing $us, int $range): Standing
    {
        return $range === $this->range ? $us : $this->facing($us->middle, $range, $us->stance);
    }

    /** Returns the athlete in stance on that side of the opponent, facing them from the distance of the band. */
    private function facing(Point $from, int $range, Stance $stance): Standing
    {
        $them = $this->them->middle;
        $middle = $them->moved($them->directionTo($from), $this->distance($range));

        return new Standing($middle, $middle->directionTo($them), $stance);
    }

    /** Returns the m between the middles of both stances in a band. */
    private function distance(int $range): float
    {
        return $this->data->value('clinch') + ($range - 1) * $this->band;
    }
}
