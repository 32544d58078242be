<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\HouseRules\HandTiming;
use Periplus\Core\HouseRules\Schools;

final readonly class HandAndKick implements Rule
{
    public function id(): string
    {
        return 'hand-and-kick';
    }

    public function title(): string
    {
        return 'Hand and kick';
    }

    public function reason(): string
    {
        return 'One school lands the hand first and kicks while the guard is on it; the other lands both at one moment, so that there is no time for the second. It holds only where the gym has chosen one.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 14h', schools: new Schools(handTiming: HandTiming::Together));
    }

    public function doesNotShow(): Example
    {
        return new Example('1 +14h', schools: new Schools(handTiming: HandTiming::Together));
    }

    public function sightings(Passage $passage): array
    {
        $school = $passage->circumstances->rules->schools->handTiming;
        $sightings = [];
        foreach (HandTiming::Any === $school ? [] : $passage->handsBeforeKicks() as $at => $hand) {
            $kick = $passage->strikes[$at];
            if ($kick->joined !== (HandTiming::Together === $school)) {
                $sightings[] = new Sighting($at, \sprintf($kick->joined ? 'The %s lands together with the %s; this gym lands the hand first.' : 'The %s lands after the %s; this gym lands both together.', $kick->strike->name, $passage->strikes[$hand]->strike->name));
            }
        }

        return $sightings;
    }
}
