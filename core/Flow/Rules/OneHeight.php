<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class OneHeight implements Rule
{
    public function id(): string
    {
        return 'one-height';
    }

    public function title(): string
    {
        return 'All at one height';
    }

    public function reason(): string
    {
        return 'Work that stays at one height lets the guard stay there too. Change the level once and the guard opens.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 3 4 3');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 3b 4 3');
    }

    public function sightings(Passage $passage): array
    {
        $heights = array_unique(array_map(static fn (StrikeItem $item): string => $item->target->word(), $passage->delivered));
        $count = \count($passage->delivered);

        return $count >= $passage->circumstances->rules->thresholds->oneHeight && 1 === \count($heights)
            ? [new Sighting(null, \sprintf('All %d strikes go to the %s.', $count, implode('', $heights)))]
            : [];
    }
}
