<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class Accelerates implements Rule
{
    public function id(): string
    {
        return 'accelerates';
    }

    public function title(): string
    {
        return 'Accelerates';
    }

    public function reason(): string
    {
        return 'The last strike is the hard one and the first ones are quick.';
    }

    public function isCredit(): bool
    {
        return true;
    }

    public function shows(): Example
    {
        return new Example('1~ 2 3!');
    }

    public function doesNotShow(): Example
    {
        return new Example('1! 2 3');
    }

    public function sightings(Passage $passage): array
    {
        $efforts = array_values(array_map(static fn (StrikeItem $item): int => $item->effort->rank(), $passage->delivered));

        return self::holds($efforts) ? [new Sighting(array_key_last($passage->delivered), 'The effort rises to the last strike.')] : [];
    }

    /**
     * @param list<int> $efforts ranks in the order of the chain
     */
    public static function holds(array $efforts): bool
    {
        $last = end($efforts);

        return \count($efforts) > 1 && $last > $efforts[0] && max($efforts) === $last;
    }
}
