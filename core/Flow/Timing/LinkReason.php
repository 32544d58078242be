<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;

/**
 * Says in plain words what a link waits for: weight, hips and limbs before the range, longer waits before shorter ones.
 */
final class LinkReason
{
    /** Share of the longest part from which the second one is named too. */
    private const MIN_SHARE_OF_SECOND = 0.2;

    /**
     * @param list<Item> $items of the chain, as far as the later item of the link
     * @param BodyState $state the body as that item found it
     */
    public static function explain(array $items, Link $link, BodyState $state): string
    {
        [$index, $parts, $bands] = [$link->to, $link->parts, $link->bands];
        $item = $items[$index];
        if (!$item instanceof StrikeItem) {
            return [] === $parts || !($item instanceof MoveItem)
                ? \sprintf('The %s follows at once.', $item->name())
                : self::ofMove($items, $item, array_keys(self::worthSaying($parts)), $state);
        }
        if ($item->joined && isset($parts[Cause::Turn->value])) {
            return \sprintf(
                'The hips cannot turn both ways at one moment; the %s turns them one way and the %s the other.',
                $items[$index - 1]->name(),
                $item->strike->name,
            );
        }
        if ([] === $parts) {
            return \sprintf('Weight and hips are where the %s needs them.', $item->strike->name);
        }
        $causes = array_map(Cause::from(...), array_keys(self::worthSaying($parts)));
        // Coaches ask about weight and hips first; a step mends the range.
        usort(
            $causes,
            static fn (Cause $one, Cause $other): int => (Cause::Range === $one ? 1 : 0)
                <=> (Cause::Range === $other ? 1 : 0),
        );
        if (
            []
                === array_diff(
                    [Cause::Turn->value, Cause::Load->value],
                    array_map(static fn (Cause $cause): string => $cause->value, $causes),
                )
            && $state->turnBy === $state->loadBy
        ) {
            return \sprintf(
                '%s and %s%s; the %s needs time to reset weight and hips.',
                ucfirst(self::hips($item, $state)),
                self::weight($item, $state),
                self::since($items, $state->turnBy),
                self::again($items, $item, $state->turnBy),
            );
        }
        $clauses = array_map(
            static fn (Cause $cause): string => match ($cause) {
                Cause::Limb => self::limb($item, $state),
                Cause::Load => \sprintf(
                    '%s%s; the %s needs it %s',
                    self::weight($item, $state),
                    self::since($items, $state->loadBy),
                    self::again($items, $item, $state->loadBy),
                    $state->catalogue->strikes[$item->strike->id]->needsLoad->gap($state->load) > 0
                        ? 'further back'
                        : 'further forward',
                ),
                Cause::Turn => \sprintf(
                    '%s%s; the %s needs them back',
                    self::hips($item, $state),
                    self::since($items, $state->turnBy),
                    self::again($items, $item, $state->turnBy),
                ),
                Cause::Feet => self::feet($items, $item, $state),
                Cause::Range => self::range($items[$index - 1], $item, $bands, $state),
                Cause::Head => throw new \LogicException('A strike does not wait for the head.'),
            },
            $causes,
        );

        return implode(' ', array_map(static fn (string $clause): string => ucfirst($clause).'.', $clauses));
    }

    /**
     * @param list<Item> $items
     * @param list<string> $causes the longest first
     */
    private static function ofMove(array $items, MoveItem $item, array $causes, BodyState $state): string
    {
        $name = $item->name();
        $weight = $state->load > 0.5 ? 'front' : 'back';
        $clauses = array_map(
            static fn (string $cause): string => match (Cause::from($cause)) {
                Cause::Head => \sprintf(
                    'the head is already there%s; it has to come back before the %s',
                    self::since($items, $state->turnBy),
                    $name,
                ),
                Cause::Limb => \sprintf(
                    'the %s leg has just come down; the weight goes over the other one before the %s',
                    $item->move->foot->value ?? '',
                    $name,
                ),
                default => \sprintf(
                    'the weight is still over the %s foot%s; the %s needs it off that foot',
                    $weight,
                    self::since($items, $state->loadBy),
                    $name,
                ),
            },
            $causes,
        );

        return implode(' ', array_map(static fn (string $clause): string => ucfirst($clause).'.', $clauses));
    }

    /**
     * Returns the longest part, and the second one when it visibly adds to the wait.
     *
     * @param array<string, float> $parts ms by cause, longest first
     *
     * @return array<string, float>
     */
    private static function worthSaying(array $parts): array
    {
        $least = self::MIN_SHARE_OF_SECOND * array_sum(\array_slice($parts, 0, 1));

        return array_filter(\array_slice($parts, 0, 2), static fn (float $ms): bool => $ms >= $least);
    }

    private static function limb(StrikeItem $item, BodyState $state): string
    {
        [$role, $name] = [$item->strike->role->value, $item->strike->name];
        if (!$item->strike->limb->isArm()) {
            return \sprintf(
                'the %s leg has just come down; the weight goes over the other one before the %s',
                $role,
                $name,
            );
        }

        return \sprintf('the %s hand is still on its way back', $role)
            .($state->limb($item) === $state->lastLimb ? \sprintf(', and the %s needs it again', $name) : '');
    }

    private static function weight(StrikeItem $item, BodyState $state): string
    {
        return $state->catalogue->strikes[$item->strike->id]->needsLoad->gap($state->load) > 0
            ? 'the weight is still over the front foot'
            : 'the weight is still over the back foot';
    }

    private static function hips(StrikeItem $item, BodyState $state): string
    {
        $turn = $state->limb($item) === $state->changedLimb ? $state->changedTurn : $state->turn;

        return $state->catalogue->strikes[$item->strike->id]->needsTurn($item->target)->gap($turn) > 0
            ? 'the hips are still through'
            : 'the hips are still turned to the lead side';
    }

    /** @param list<Item> $items */
    private static function feet(array $items, StrikeItem $item, BodyState $state): string
    {
        return null === $state->crossedBy
            ? \sprintf('the other leg is still in the air; the %s needs a foot to stand on', $item->strike->name)
            : \sprintf(
                'the feet are still crossed from the %s; the stance has to close before the %s',
                $items[$state->crossedBy]->name(),
                $item->strike->name,
            );
    }

    private static function range(Item $before, StrikeItem $item, int $bands, BodyState $state): string
    {
        $nearer = $item->strike->ranges($item->target)[0] < $state->range;
        $where = $nearer ? 'nearer' : 'further out';
        if ($state->held && !$nearer) {
            return \sprintf(
                'the %s works %s further out than the hold; that needs a push or a step back',
                $item->strike->name,
                1 === $bands ? 'one range' : $bands.' ranges',
            );
        }
        if (1 === $bands) {
            return \sprintf('the %s works one range %s, which the athlete drifts', $item->strike->name, $where);
        }

        return \sprintf(
            'the %s works %d ranges %s than the %s leaves; that needs %s',
            $item->strike->name,
            $bands,
            $where,
            $before->name(),
            $nearer ? (2 === $bands ? 'a step in' : 'steps in') : 'a step back or a push',
        );
    }

    /** @param list<Item> $items */
    private static function since(array $items, ?int $by): string
    {
        return null === $by ? '' : ' from the '.$items[$by]->name();
    }

    /**
     * Returns "next cross" when the strike in the way is the same one.
     *
     * @param list<Item> $items
     */
    private static function again(array $items, StrikeItem $item, ?int $by): string
    {
        $before = null === $by ? null : $items[$by];

        return $before instanceof StrikeItem && $before->strike === $item->strike
            ? 'next '.$item->strike->name
            : $item->strike->name;
    }
}
