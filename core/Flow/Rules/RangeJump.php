<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class RangeJump implements Rule
{
    public function id(): string
    {
        return 'range-jump';
    }

    public function title(): string
    {
        return 'Out of reach';
    }

    public function reason(): string
    {
        return 'Athletes drift one range by themselves. Two ranges or more need a step, a push or a post, or the strike lands on air.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 31');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 step-in 31');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        foreach ($passage->timing->links as $link) {
            $item = $passage->items[$link->to];
            if ($item instanceof StrikeItem && $link->bands >= $passage->circumstances->rules->thresholds->rangeJump) {
                $nearer = $item->strike->ranges($item->target)[0] < $passage->timing->moments[$link->from()]->range;
                $sightings[] = new Sighting($link->to, \sprintf('The %s is %d ranges %s. Put %s before it.', $item->strike->name, $link->bands, $nearer ? 'nearer' : 'further out', $nearer ? 'a step in' : 'a step back or a push'));
            }
        }

        return $sightings;
    }
}
