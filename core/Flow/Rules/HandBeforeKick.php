<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\HouseRules\HandSide;
use Periplus\Core\HouseRules\Schools;

final readonly class HandBeforeKick implements Rule
{
    public function id(): string
    {
        return 'hand-before-kick';
    }

    public function title(): string
    {
        return 'Hand before a kick';
    }

    public function reason(): string
    {
        return 'One school sends the hand of the same side before the kick, so that the guard looks there; the other sends the hand of the opposite side, whose turn loads the kick. It holds only where the gym has chosen one.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 14', schools: new Schools(handSide: HandSide::Opposite));
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 3 14', schools: new Schools(handSide: HandSide::Opposite));
    }

    public function sightings(Passage $passage): array
    {
        $school = $passage->circumstances->rules->schools->handSide;
        $sightings = [];
        foreach (HandSide::Any === $school ? [] : $passage->handsBeforeKicks() as $at => $hand) {
            $kick = $passage->strikes[$at];
            $same = $passage->inStance->side($hand) === $passage->inStance->side($at);
            if ($same !== (HandSide::Same === $school)) {
                $sightings[] = new Sighting($at, \sprintf('The %s comes after the %s, a hand of the %s side; this gym sends the hand of the %s side first.', $kick->strike->name, $passage->strikes[$hand]->strike->name, $same ? 'same' : 'opposite', $same ? 'opposite' : 'same'));
            }
        }

        return $sightings;
    }
}
