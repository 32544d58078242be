<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\HouseRules\HardStrikes;

final readonly class AllHard implements Rule
{
    public function id(): string
    {
        return 'all-hard';
    }

    public function title(): string
    {
        return 'Nothing accelerates';
    }

    public function reason(): string
    {
        return 'The last strike is the hard one; those before it are quick and keep the opponent busy. If everything is hard, nothing is.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1! 2! 3!');
    }

    public function doesNotShow(): Example
    {
        return new Example('1~ 2 3!');
    }

    public function sightings(Passage $passage): array
    {
        $efforts = array_values(array_map(static fn (StrikeItem $item): int => $item->effort->rank(), $passage->delivered));
        $marked = array_filter($efforts, static fn (int $rank): bool => $rank !== Effort::Plain->rank());
        if (HardStrikes::Every === $passage->circumstances->rules->schools->hardStrikes || \count($efforts) < 2 || [] === $marked || Accelerates::holds($efforts)) {
            return [];
        }

        return [new Sighting(null, 'Effort is marked, but nothing accelerates towards the end. Make the first ones quick and the last one hard.')];
    }
}
