<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class OutsideRules implements Rule
{
    public function id(): string
    {
        return 'outside-rules';
    }

    public function title(): string
    {
        return 'Outside the rules';
    }

    public function reason(): string
    {
        return 'The sport that these house rules are for does not let that limb land. Check the rulebook of the governing body.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 31');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 14');
    }

    public function sightings(Passage $passage): array
    {
        $rules = $passage->circumstances->rules;
        $sightings = [];
        foreach ($passage->strikes as $at => $item) {
            if (!\in_array($item->strike->limb, $rules->allows, true)) {
                $sightings[] = new Sighting($at, \sprintf('The %s is not allowed under %s rules.', $item->strike->name, mb_strtolower($rules->name)));
            }
        }

        return $sightings;
    }
}
