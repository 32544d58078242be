<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Balance\Footing;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Floor\FloorData;
use Periplus\Core\Floor\FloorMove;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

/** Draws the feet of a combination from above. */
final readonly class FeetDrawer
{
    /** Drawing units for a metre on the floor. */
    private const METRE = 30.0;
    /** How many degrees round the opponent are drawn as wide as one metre to the side. */
    private const AROUND = 100.0;
    /** How far each foot is from the middle, along the line of the chain. */
    private const HALF_STANCE = 15.0;
    /** How far the feet go ahead where a kick comes down in front, m. */
    private const LANDING = 0.2;
    /** Distances from the left edge: closer to the pair at the start the next one could not be distinguished. */
    private const CLEAR_AT_START = 34;
    private const CLEAR_AFTER_START = 104;

    private DrawingData $data;

    public function __construct(private ChainInStance $chain, private ChainTiming $timing)
    {
        $this->data = DrawingData::builtIn();
    }

    public function draw(int $y): DrawnFeet
    {
        $pairs = [
            new DrawnPair(
                ms: 0,
                clear: self::CLEAR_AT_START,
                dx: 0.0,
                dy: 0.0,
                turn: 0.0,
                isBefore: false,
                soles: $this->soles($this->chain->stance, false),
            ),
        ];
        foreach ($this->chain->chain->items as $index => $item) {
            if ($item->changesStance() || Feet::Stay !== $this->feet($item) || $this->isHalfWay($item)) {
                array_push($pairs, ...$this->step($index, $item));
            }
        }

        return new DrawnFeet($y, $this->data->sole, $pairs);
    }

    private function feet(Item $item): Feet
    {
        return $item instanceof MoveItem ? $item->move->feet : Feet::Stay;
    }

    private function isHalfWay(Item $item): bool
    {
        return $item instanceof StrikeItem && Landing::HalfWay === $item->landing && !$item->feint;
    }

    /** @return iterable<DrawnPair> where the feet were, and where they are */
    private function step(int $index, Item $item): iterable
    {
        $changes = $item->changesStance();
        $before = $this->chain->stances[$index];
        $on = $item instanceof MoveItem ? FloorData::builtIn()->move($item->move) : new FloorMove();
        $ahead = match (true) {
            $item instanceof MoveItem => $on->ahead - $item->move->range * Footing::builtIn()->stepPerBand,
            $item instanceof StrikeItem && Landing::Forward === $item->landing => self::LANDING,
            $item instanceof StrikeItem && Landing::Behind === $item->landing => -self::LANDING,
            default => 0.0,
        };
        $lead = $on->lead + $on->around / self::AROUND;
        $up = Stance::Orthodox === $before ? -1 : 1;
        $ms = Rounding::ms($this->timing->moments[$index]->end);

        yield new DrawnPair(
            ms: $ms,
            clear: self::CLEAR_AFTER_START,
            dx: Rounding::units(-$ahead * self::METRE),
            dy: Rounding::units(-$lead * self::METRE * $up),
            turn: 0.0,
            isBefore: true,
            soles: $this->soles($before, false),
        );
        yield new DrawnPair(
            ms: $ms,
            clear: self::CLEAR_AFTER_START,
            dx: 0.0,
            dy: 0.0,
            turn: Rounding::units(($on->turn + $on->around) * -$up),
            isBefore: false,
            soles: $this->soles(
                $changes ? $before->other() : $before,
                Feet::Cross === $this->feet($item),
                $this->isHalfWay($item) ? self::HALF_STANCE : 0.0,
            ),
        );
    }

    /**
     * Returns both soles seen from above, the front foot to the right: a left foot stands above the line of the chain,
     * a right foot below it.
     *
     * @param float $ahead how much further ahead than in stance the rear foot is, in drawing units
     *
     * @return list<DrawnSole>
     */
    private function soles(Stance $stance, bool $crossed, float $ahead = 0.0): array
    {
        $up = (Stance::Orthodox === $stance ? -1 : 1) * ($crossed ? -0.6 : 1.0);
        $isLeftInFront = Stance::Orthodox === $stance;

        return [
            new DrawnSole(
                self::HALF_STANCE,
                Rounding::units(8 * $up),
                Rounding::units(6 * $up),
                $isLeftInFront,
                Role::Lead,
            ),
            new DrawnSole(
                $ahead - self::HALF_STANCE,
                Rounding::units(-8 * $up),
                Rounding::units(-38 * $up),
                !$isLeftInFront,
                Role::Rear,
            ),
        ];
    }
}
