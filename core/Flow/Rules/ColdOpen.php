<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class ColdOpen implements Rule
{
    public function id(): string
    {
        return 'cold-open';
    }

    public function title(): string
    {
        return 'Opens with power';
    }

    public function reason(): string
    {
        return 'A chain that opens with a power strike shows it from outside. A jab, a feint, a push kick or a move finds the range first.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('3 2');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 3 2');
    }

    public function sightings(Passage $passage): array
    {
        $first = $passage->items[0] ?? null;
        if (!$first instanceof StrikeItem || $first->feint || 'jab' === $first->strike->id || 'push kick' === $first->strike->family) {
            return [];
        }

        return [new Sighting(0, \sprintf('The chain opens with the %s. A jab, a feint, a push kick or a move before it finds the range.', $first->strike->name))];
    }
}
