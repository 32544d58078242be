<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Group;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Target;

final readonly class YouthLimits implements Rule
{
    public function id(): string
    {
        return 'youth-limits';
    }

    public function title(): string
    {
        return 'Not for this group';
    }

    public function reason(): string
    {
        return 'Elbows, and knees and kicks to the head, are not for youth or beginners unless the governing body and the gym allow it.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('1 2 14h', group: Group::Youth);
    }

    public function doesNotShow(): Example
    {
        return new Example('1 2 14l', group: Group::Youth);
    }

    public function sightings(Passage $passage): array
    {
        $group = $passage->circumstances->group;
        if (Group::Open === $group) {
            return [];
        }
        $sightings = [];
        foreach ($passage->delivered as $at => $item) {
            if (Limb::Elbow === $item->strike->limb || ($item->isLegStrike() && Target::Head === $item->target)) {
                $sightings[] = new Sighting($at, \sprintf('The %s%s, from the %s, is not for %s, unless the governing body and the gym allow it.', $item->strike->name, $item->isLegStrike() ? ' to the head' : '', $passage->inStance->side($at)->value ?? '', $group->value));
            }
        }

        return $sightings;
    }
}
