<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Group;
use Periplus\Core\Flow\Medium;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Target;

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

        return [new Sighting(0, sprintf('The chain opens with the %s. A jab, a feint, a push kick or a move before it finds the range.', $first->strike->name))];
    }
}
