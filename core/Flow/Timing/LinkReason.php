<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;

use function Periplus\Core\Language\t;

/**
 * Says in plain words what a link waits for: weight, hips and limbs before the range, longer waits before shorter ones.
 */
final readonly class LinkReason
{
    /** Share of the longest part from which the second one is named too. */
    private const MIN_SHARE_OF_SECOND = 0.2;
    /** Share of the weight to either side of one half that counts as even. */
    private const EVEN = 0.03;

    /**
     * @param list<Item> $items of the chain, as far as the later item of the link
     * @param BodyState $state the body as that item found it
     */
    public function __construct(private array $items, private Link $link, private BodyState $state)
    {
    }

    public function explain(): string
    {
        [$items, $state] = [$this->items, $this->state];
        [$index, $parts] = [$this->link->to, $this->link->parts];
        $item = $items[$index];
        if (!$item instanceof StrikeItem) {
            return [] === $parts || !($item instanceof MoveItem)
                ? t('The {item} follows at once.', item: $item->name())
                : $this->ofMove($item, array_keys($this->worthSaying($parts)));
        }
        if ($item->joined && $items[$index - 1] instanceof StrikeItem && isset($parts[Cause::Turn->value])) {
            return t(
                'The hips cannot turn both ways at one moment; the {items} turns them one way and the {strike} the '
                    .'other.',
                items: $items[$index - 1]->name(),
                strike: $item->strike->name,
            );
        }
        if ([] === $parts) {
            return t('Weight and hips are where the {strike} needs them.', strike: $item->strike->name);
        }
        $causes = array_map(Cause::from(...), array_keys($this->worthSaying($parts)));
        // Coaches ask about weight and hips first; a step mends the range.
        usort(
            $causes,
            static fn (Cause $one, Cause $other): int => (Cause::Range === $one ? 1 : 0)
                <=> (Cause::Range === $other ? 1 : 0),
        );
        if (
            [] ===
                array_diff(
                    [Cause::Turn->value, Cause::Load->value],
                    array_map(static fn (Cause $cause): string => $cause->value, $causes),
                )
            && $state->turnBy === $state->loadBy
        ) {
            return t(
                '{hips} and {weight}{since}; the {again} needs time to reset weight and hips.',
                hips: ucfirst($this->hips($item)),
                weight: $this->weight(),
                since: $this->since($state->turnBy),
                again: $this->again($item, $state->turnBy),
            );
        }
        $clauses = array_map(
            fn (Cause $cause): string => match ($cause) {
                Cause::Limb => $this->limb($item),
                Cause::Load => t(
                    '{weight}{since}; the {again} needs it {word}',
                    weight: $this->weight(),
                    since: $this->since($state->loadBy),
                    again: $this->again($item, $state->loadBy),
                    word: $state->catalogue->strikes[$item->strike->id]->needsLoad->gap($state->load) > 0
                        ? t('further back')
                        : t('further forward'),
                ),
                Cause::Turn => t(
                    '{hips}{since}; the {again} needs them back',
                    hips: $this->hips($item),
                    since: $this->since($state->turnBy),
                    again: $this->again($item, $state->turnBy),
                ),
                Cause::Feet => $this->feet($item),
                Cause::Range => $this->range($items[$index - 1], $item),
                Cause::Head => throw new \LogicException('A strike does not wait for the head.'),
            },
            $causes,
        );

        return implode(' ', array_map(static fn (string $clause): string => ucfirst($clause).'.', $clauses));
    }

    /** @param list<string> $causes the longest first */
    private function ofMove(MoveItem $item, array $causes): string
    {
        $state = $this->state;
        $name = $item->name();
        $clauses = array_map(
            fn (string $cause): string => match (Cause::from($cause)) {
                Cause::Head => t(
                    'the head is already there{since}; it has to come back before the {name}',
                    since: $this->since($state->turnBy),
                    name: $name,
                ),
                Cause::Limb => t(
                    'the {foot} leg has just come down; the weight goes over the other one before the {name}',
                    foot: $item->move->foot->value ?? '',
                    name: $name,
                ),
                default => abs($state->load - 0.5) > self::EVEN
                    ? t(
                        '{weight}{since}; the {name} needs it off that foot',
                        weight: $this->weight(),
                        since: $this->since($state->loadBy),
                        name: $name,
                    )
                    : t(
                        '{weight}{since}; the {name} needs it over one of them',
                        weight: $this->weight(),
                        since: $this->since($state->loadBy),
                        name: $name,
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
    private function worthSaying(array $parts): array
    {
        $least = self::MIN_SHARE_OF_SECOND * array_sum(\array_slice($parts, 0, 1));

        return array_filter(\array_slice($parts, 0, 2), static fn (float $ms): bool => $ms >= $least);
    }

    private function limb(StrikeItem $item): string
    {
        [$role, $name] = [$item->strike->role->value, $item->strike->name];
        if (!$item->strike->limb->isArm()) {
            return t(
                'the {role} leg has just come down; the weight goes over the other one before the {name}',
                role: $role,
                name: $name,
            );
        }

        $again = $this->state->limb($item) === $this->state->lastLimb
            ? t(', and the {name} needs it again', name: $name)
            : '';

        return t('the {role} hand is still on its way back', role: $role).$again;
    }

    private function weight(): string
    {
        return match (true) {
            $this->state->load > 0.5 + self::EVEN => t('the weight is still over the front foot'),
            $this->state->load < 0.5 - self::EVEN => t('the weight is still over the back foot'),
            default => t('the weight is on both feet'),
        };
    }

    private function hips(StrikeItem $item): string
    {
        $state = $this->state;
        $turn = $state->limb($item) === $state->changedLimb ? $state->changedTurn : $state->turn;

        return $state->catalogue->strikes[$item->strike->id]->needsTurn($item->target)->gap($turn) > 0
            ? t('the hips are still through')
            : t('the hips are still turned to the lead side');
    }

    private function feet(StrikeItem $item): string
    {
        return null === $this->state->crossedBy
            ? t('the other leg is still in the air; the {strike} needs a foot to stand on', strike: $item->strike->name)
            : t(
                'the feet are still crossed from the {items}; the stance has to close before the {strike}',
                items: $this->items[$this->state->crossedBy]->name(),
                strike: $item->strike->name,
            );
    }

    private function range(Item $before, StrikeItem $item): string
    {
        $bands = $this->link->bands;
        $nearer = $item->strike->ranges($item->target)[0] < $this->state->range;
        $where = $nearer ? 'nearer' : t('further out');
        if ($this->state->held && !$nearer) {
            return t(
                'the {strike} works {word} further out than the hold; that needs a push or a step back',
                strike: $item->strike->name,
                word: 1 === $bands ? t('one range') : $bands.' ranges',
            );
        }
        if (1 === $bands && $nearer && $this->state->goesBackFrom($item)) {
            return t(
                'the rear foot has come home and the weight with it, and the {strike} works one range nearer: step in, '
                    .'set the foot down in front or half way, or throw a straight, which reaches',
                strike: $item->strike->name,
            );
        }
        if (1 === $bands) {
            return $nearer
                ? t('the {strike} works one range nearer; the athlete drifts in', strike: $item->strike->name)
                : t('the {strike} works one range further out; the athlete drifts out', strike: $item->strike->name);
        }

        return t(
            'the {strike} works {bands} ranges {where} than {place}; that needs {word}',
            strike: $item->strike->name,
            bands: $bands,
            where: $where,
            place: $before instanceof MoveItem && $before->move->isStart()
                ? t('where the chain begins')
                : t('the {item} leaves', item: $before->name()),
            word: $nearer ? (2 === $bands ? t('a step in') : t('steps in')) : t('a step back or a push'),
        );
    }

    private function since(?int $by): string
    {
        return null === $by ? '' : t(' from the {item}', item: $this->items[$by]->name());
    }

    /** Returns "next cross" when the strike in the way is the same one. */
    private function again(StrikeItem $item, ?int $by): string
    {
        $before = null === $by ? null : $this->items[$by];

        return $before instanceof StrikeItem && $before->strike === $item->strike
            ? t('next {strike}', strike: $item->strike->name)
            : $item->strike->name;
    }
}
