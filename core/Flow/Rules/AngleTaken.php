<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class AngleTaken implements Rule
{
    public function id(): string
    {
        return 'angle-taken';
    }

    public function title(): string
    {
        return 'Takes an angle';
    }

    public function reason(): string
    {
        return 'A step or a pivot off the line before a strike puts it where the opponent does not look.';
    }

    public function isCredit(): bool
    {
        return true;
    }

    public function shows(): Example
    {
        return new Example('1 pivot-out 2');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 step-in 2');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        foreach ($passage->delivered as $at => $item) {
            $move = $passage->moveBefore($at)?->move;
            if (null !== $move && $move->takesAngle()) {
                $sightings[] = new Sighting($at, \sprintf('The %s comes from the new angle that the %s takes.', $item->strike->name, $move->words()));
            }
        }

        return $sightings;
    }
}
