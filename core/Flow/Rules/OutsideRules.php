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
            if (!in_array($item->strike->limb, $rules->allows, true)) {
                $sightings[] = new Sighting($at, sprintf('The %s is not allowed under %s rules.', $item->strike->name, mb_strtolower($rules->name)));
            }
        }

        return $sightings;
    }
}
