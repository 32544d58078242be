<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class StaticHead implements Rule
{
    public function id(): string
    {
        return 'static-head';
    }

    public function title(): string
    {
        return 'Head never moves';
    }

    public function reason(): string
    {
        return 'A head that stays on its line through a long chain is found by the answer. Slip, roll, pivot or step inside the chain.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 3 4 3 2');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 3 roll-rear 4 3 2');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        $runs = $passage->runs(
            static fn (Item $item): bool => $item instanceof Beat || ($item instanceof MoveItem && $item->move->movesHead()),
            static fn (): string => 'strike',
        );
        foreach ($runs as $run) {
            if (\count($run) >= $passage->circumstances->rules->thresholds->staticHead) {
                $sightings[] = new Sighting($run[0], \sprintf('%d strikes in a row and the head never leaves its line.', \count($run)));
            }
        }

        return $sightings;
    }
}
