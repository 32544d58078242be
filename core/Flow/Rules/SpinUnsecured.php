<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class SpinUnsecured implements Rule
{
    public function id(): string
    {
        return 'spin-unsecured';
    }

    public function title(): string
    {
        return 'Spin with nothing held';
    }

    public function reason(): string
    {
        return 'A spinning strike turns the back. A post, a clinch or a push directly before it holds the opponent where the strike will land. Mind the space around the athlete.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 38');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 post 38');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        foreach ($passage->delivered as $at => $item) {
            if ($item->strike->spins() && !\in_array($passage->moveBefore($at)?->move->id, ['post', 'clinch', 'push'], true)) {
                $sightings[] = new Sighting($at, \sprintf('The %s turns the back with nothing holding the opponent. Post, push or clinch directly before it, and mind the space around.', $item->strike->name));
            }
        }

        return $sightings;
    }
}
