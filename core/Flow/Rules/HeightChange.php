<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\Technique\Target;

/** Finds a delivered strike at one height directly after one at another. */
final readonly class HeightChange
{
    /** @return list<Sighting> */
    public static function between(Passage $passage, Target $from, Target $to, string $sentence): array
    {
        $sightings = [];
        $before = null;
        foreach ($passage->delivered as $at => $item) {
            if (null !== $before && $before->target === $from && $item->target === $to) {
                $sightings[] = new Sighting($at, \sprintf($sentence, $before->strike->name, $item->strike->name));
            }
            $before = $item;
        }

        return $sightings;
    }
}
