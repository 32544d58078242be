<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class SameSideRun implements Rule
{
    public function id(): string
    {
        return 'same-side-run';
    }

    public function title(): string
    {
        return 'Same side three times';
    }

    public function reason(): string
    {
        return 'Three strikes in a row from one side leave the hips nowhere to come from, and the guard on that side gone. Jabs do not count.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('3b 3 5');
    }

    public function doesNotShow(): Example
    {
        return new Example('3b 2 5');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        $runs = $passage->runs(
            static fn (Item $item): bool => $item instanceof Beat || ($item instanceof MoveItem && null !== $item->move->load),
            static fn (int $at, StrikeItem $item): ?string => 'jab' === $item->strike->id ? null : $passage->inStance->side($at)?->value,
        );
        foreach ($runs as $run) {
            if (\count($run) >= $passage->circumstances->rules->thresholds->sameSide) {
                $role = $passage->strikes[$run[0]]->strike->role->value;
                $sightings[] = new Sighting($run[0], \sprintf('%d strikes in a row come from the %s side.', \count($run), $role));
            }
        }

        return $sightings;
    }
}
