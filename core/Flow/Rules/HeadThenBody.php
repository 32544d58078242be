<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Technique\Target;

final readonly class HeadThenBody implements Rule
{
    public function id(): string
    {
        return 'head-then-body';
    }

    public function title(): string
    {
        return 'Head, then body';
    }

    public function reason(): string
    {
        return 'A punch to the head lifts the guard and opens the body.';
    }

    public function isCredit(): bool
    {
        return true;
    }

    public function shows(): Example
    {
        return new Example('1 2 3b');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 3');
    }

    public function sightings(Passage $passage): array
    {
        return HeightChange::between($passage, Target::Head, Target::Body, 'The %s lifts the guard; the %s goes under it.');
    }
}
