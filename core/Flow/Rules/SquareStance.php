<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\Technique\Feet;

final readonly class SquareStance implements Rule
{
    public function id(): string
    {
        return 'square-stance';
    }

    public function title(): string
    {
        return 'Strike from crossed feet';
    }

    public function reason(): string
    {
        return 'Feet side by side or crossed have no base to drive from, and a push from the front topples the athlete.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 step-across 2');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 step-out 2');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        foreach (array_keys($passage->strikes) as $at) {
            $before = $passage->sinceBeat($at, static fn (Item $item): bool => $item instanceof StrikeItem || ($item instanceof MoveItem && Feet::Stay !== $item->move->feet));
            $item = null === $before ? null : $passage->items[$before];
            if ($item instanceof MoveItem && Feet::Cross === $item->move->feet) {
                $sightings[] = new Sighting($at, \sprintf('The %s is thrown from feet that the %s left crossed. Close the stance first.', $passage->strikes[$at]->strike->name, $item->move->words()));
            }
        }

        return $sightings;
    }
}
