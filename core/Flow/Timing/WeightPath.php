<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Balance\Phase;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\StrikeTrait;

/**
 * Derives from the timing of a chain which feet are down when and where the weight should go: the input of the balance.
 */
final class WeightPath
{
    /** The range band in which a leg strikes out of a clinch. */
    private const CLINCH = 1;

    /** @var list<Phase> */
    private array $phases = [];
    /** Time up to which phases have been added, in ms. */
    private float $until = 0.0;

    private function __construct(private readonly Athlete $athlete)
    {
    }

    /** @return list<Phase> without a gap, from the start of the chain to its last release */
    public static function phases(ChainTiming $timing, Athlete $athlete): array
    {
        $path = new self($athlete);
        $items = $timing->chain->items;
        foreach ($items as $index => $item) {
            $next = $items[$index + 1] ?? null;
            if (
                $next instanceof StrikeItem
                && $next->joined
                && !($item instanceof StrikeItem && $item->isLegStrike())
            ) {
                // Strikes that land together are carried by the leg that strikes, or by the last hand.
                continue;
            }
            $moment = $timing->moments[$index];
            if ($item instanceof StrikeItem && $item->joined && $moment->end <= $path->until) {
                continue;
            }
            $staysUp = $next instanceof StrikeItem && $next->legUp && !$next->feint;
            if ($item instanceof StrikeItem && $item->isLegStrike() && !$item->feint) {
                $path->legStrike($index, $item, $moment, $staysUp);
                continue;
            }
            $path->add($index, $moment->start, $moment->loadFrom);
            $before = $items[$index - 1] ?? null;
            $path->onTwoFeet($index, $item, $moment, $timing->chain->goesWithMove($index) ? $before : null);
        }

        return $path->phases;
    }

    /** @param bool $staysUp whether the same leg kicks again before its foot comes down */
    private function legStrike(int $index, StrikeItem $item, Moment $moment, bool $staysUp): void
    {
        $impact = (float) $moment->impact;
        if (!$item->legUp) {
            $this->add($index, $moment->start, $moment->loadFrom);
        }
        $lifted =
            $moment->start + ($item->legUp ? 0.0 : $this->athlete->footing->lift) * ($impact - $moment->start);
        $stands = $item->strike->standsOn;
        $underBody = $item->strike->has(StrikeTrait::UnderBody);
        $over = $underBody ? 0.5 : (Role::Lead === $stands ? 1.0 : 0.0);
        $reach = Limb::Knee === $item->strike->limb ? $this->athlete->kneeUp : $this->athlete->legOut;
        $holding = self::CLINCH === $moment->range;
        $this->add($index, $lifted, $over, holding: $holding);
        $this->add($index, $impact, $over, $stands, underBody: $underBody, holding: $holding, reach: $reach);
        if ($staysUp) {
            $this->add($index, $moment->end, $over, $stands, underBody: $underBody, holding: $holding);

            return;
        }
        $this->add(
            $index,
            $moment->end,
            $item->changesStance() ? 1.0 - $moment->load : $moment->load,
            $stands,
            comesDown: true,
            underBody: $underBody,
            holding: $holding,
            step: match ($item->landing) {
                Landing::Back => 0.0,
                Landing::Forward => $this->athlete->stance,
                Landing::Behind => -$this->athlete->stance,
                // One foot goes half a stance ahead, so the middle of both a quarter.
                Landing::HalfWay => $this->athlete->stance / 4,
            },
        );
    }

    /** @param Item|null $with the move that goes with the item */
    private function onTwoFeet(int $index, Item $item, Moment $moment, ?Item $with): void
    {
        $move = $item instanceof MoveItem ? $item->move : null;
        $moves = $with instanceof MoveItem ? $with->move : $move;
        if (null !== $move && MoveKind::Defence === $move->kind && Feet::Step === $move->feet) {
            // A leg check: the weight moves over the other foot while the leg comes up and down again.
            $stands = $move->toward?->other();
            $this->add(
                $index,
                $moment->start + $this->athlete->footing->lift * ($moment->end - $moment->start),
                Role::Lead === $stands ? 1.0 : 0.0,
            );
            $this->add($index, $moment->end, $moment->load, $stands, comesDown: true);

            return;
        }
        $arm = $item instanceof StrikeItem && !$item->feint ? $this->athlete->armOut : 0.0;
        $this->add($index, $moment->end, $moment->load, step: null === $moves ? 0.0 : $this->step($moves), reach: $arm);
    }

    /** Returns how far a move takes the feet towards the opponent, in m. */
    private function step(Move $move): float
    {
        return match (true) {
            Feet::Change === $move->feet && 0 !== $move->range => -$move->range * $this->athlete->stance,
            Feet::Step === $move->feet => -$move->range * $this->athlete->footing->stepPerBand,
            default => 0.0,
        };
    }

    private function add(
        int $index,
        float $until,
        float $load,
        ?Role $standsOn = null,
        bool $comesDown = false,
        bool $underBody = false,
        bool $holding = false,
        float $step = 0.0,
        float $reach = 0.0,
    ): void {
        if ($until <= $this->until) {
            return;
        }
        $this->phases[] = new Phase(
            at: $index,
            seconds: ($until - $this->until) / 1000,
            load: $load,
            standsOn: $standsOn,
            comesDown: $comesDown,
            underBody: $underBody,
            holding: $holding,
            step: $step,
            reach: $reach,
        );
        $this->until = $until;
    }
}
