<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class NoExit implements Rule
{
    public function id(): string
    {
        return 'no-exit';
    }

    public function title(): string
    {
        return 'Ends where it stands';
    }

    public function reason(): string
    {
        return 'After a chain, move: exit, pivot, roll or step. Standing to admire the work invites the answer.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 exit');
    }

    public function sightings(Passage $passage): array
    {
        $last = \count($passage->items) - 1;
        $item = $passage->items[$last] ?? null;

        return $item instanceof StrikeItem || $item instanceof FreeStrikes
            ? [new Sighting($last, 'Nothing takes the athlete out after the last strike. Exit, pivot, roll or step.')]
            : [];
    }
}
