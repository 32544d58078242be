<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Medium;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class BagWrist implements Rule
{
    public function id(): string
    {
        return 'bag-wrist';
    }

    public function title(): string
    {
        return 'Wrist on the bag';
    }

    public function reason(): string
    {
        return 'An uppercut on a hanging bag can roll the wrist. Wrap it, throw it short, and ask the coach or a physician when it hurts.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 6', Medium::Bag);
    }

    public function doesNotShow(): Example
    {
        return new Example('1 6', Medium::Pads);
    }

    public function sightings(Passage $passage): array
    {
        if (Medium::Bag !== $passage->circumstances->medium) {
            return [];
        }
        $sightings = [];
        foreach ($passage->delivered as $at => $item) {
            if ('uppercut' === $item->strike->family) {
                $sightings[] = new Sighting($at, \sprintf('The %s can roll the %s wrist on a hanging bag: throw it short, wrists wrapped.', $item->strike->name, $passage->inStance->side($at)->value ?? ''));
            }
        }

        return $sightings;
    }
}
