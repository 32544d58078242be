<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rules;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Example;
use Periplus\Core\Flow\Passage;
use Periplus\Core\Flow\Rule;
use Periplus\Core\Flow\Sighting;

final readonly class UnannouncedKick implements Rule
{
    public function id(): string
    {
        return 'unannounced-kick';
    }

    public function title(): string
    {
        return 'Kick with nothing before it';
    }

    public function reason(): string
    {
        return 'A kick, a knee or a spinning kick thrown cold meets the rear straight. A punch, a feint, a push or a post occupies the opponent first.';
    }

    public function isCredit(): bool
    {
        return false;
    }

    public function shows(): Example
    {
        return new Example('14l');
    }

    public function doesNotShow(): Example
    {
        return new Example('1 14l');
    }

    public function sightings(Passage $passage): array
    {
        $sightings = [];
        foreach ($passage->delivered as $at => $item) {
            if (!$item->isLegStrike() || 'push kick' === $item->strike->family || null !== $passage->sinceBeat($at, self::announces(...))) {
                continue;
            }
            $sightings[] = new Sighting($at, \sprintf('The %s comes with nothing before it. Show a hand, a push or a post first.', $item->strike->name));
        }

        return $sightings;
    }

    private static function announces(Item $item): bool
    {
        return match (true) {
            $item instanceof StrikeItem => $item->strike->limb->isArm() || 'push kick' === $item->strike->family,
            $item instanceof MoveItem => \in_array($item->move->id, ['push', 'post', 'clinch'], true),
            default => $item instanceof FreeStrikes,
        };
    }
}
