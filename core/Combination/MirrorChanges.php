<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/**
 * Compares a chain in one stance with it in the other, item by item, and lists what really changes against this
 * opponent.
 */
final readonly class MirrorChanges
{
    private StanceConverter $converter;

    public function __construct(Catalogue $catalogue)
    {
        $this->converter = new StanceConverter($catalogue);
    }

    /** @return list<MirrorChange> from the guard to the last item */
    public function between(ChainInStance $from, ChainInStance $to, Opponent $opponent): array
    {
        $changes = [];
        if (0 < \count($from->chain) && $from->stance !== $to->stance) {
            $changes[] = new MirrorChange(
                $opponent->isOpenTo($to->stance) ? 'guard-opens' : 'guard-closes',
                null,
                $opponent->guard($to->stance),
            );
        }
        foreach (array_keys($to->chain->items) as $index) {
            $before = $opponent->contacts($from, $index);
            $after = $opponent->contacts($to, $index);
            if ($before !== $after) {
                array_push($changes, ...$this->changes($from, $to, $index, $before, $after));
            }
        }

        return $changes;
    }

    /**
     * @param list<Contact> $before
     * @param list<Contact> $after
     *
     * @return list<MirrorChange>
     */
    private function changes(ChainInStance $from, ChainInStance $to, int $index, array $before, array $after): array
    {
        $item = $to->chain->items[$index];
        $side = $to->side($index)->value ?? '';
        $who = ucfirst($to->stance->value);
        $original = $from->chain->items[$index];
        $what = $item->name();
        $offer =
            $original instanceof StrikeItem && $item instanceof StrikeItem && $original->strike === $item->strike
                ? $this->offer($item)
                : null;
        $same =
            null === $offer
                ? ''
                : t(
                    ' The same {limb} instead: {strike} to the {target}.',
                    limb: $offer->strike->limb->isArm() ? 'hand' : 'leg',
                    strike: $offer->strike->name,
                    target: $offer->target->word(),
                );

        $changes = [];
        foreach ($after as $contact) {
            if (\in_array($contact, $before, true)) {
                continue;
            }
            $changes[] = match ($contact) {
                Contact::Spleen => new MirrorChange(
                    'liver-lost',
                    $index,
                    t(
                        '{who}: the {what} comes from the {side} and lands on the spleen side, so the liver is '
                            .'lost.{same}',
                        who: $who,
                        what: $what,
                        side: $side,
                        same: $same,
                    ),
                    $offer,
                ),
                Contact::Liver => new MirrorChange(
                    'liver-gained',
                    $index,
                    t(
                        '{who}: the {what} comes from the {side} and lands on the liver side.',
                        who: $who,
                        what: $what,
                        side: $side,
                    ),
                ),
                Contact::ThighInside => new MirrorChange(
                    'thigh-inside',
                    $index,
                    t(
                        '{who}: the {what} comes from the {side} and lands on the inside of their lead thigh.',
                        who: $who,
                        what: $what,
                        side: $side,
                    ),
                ),
                Contact::ThighOutside => new MirrorChange(
                    'thigh-outside',
                    $index,
                    t(
                        '{who}: the {what} comes from the {side} and lands on the outside of their lead thigh.',
                        who: $who,
                        what: $what,
                        side: $side,
                    ),
                ),
                Contact::OpenSide => new MirrorChange(
                    'open-side-gained',
                    $index,
                    t(
                        '{who}: the {what} comes from the {side} and meets the open side of their body.',
                        who: $who,
                        what: $what,
                        side: $side,
                    ),
                ),
                Contact::AwayFromRearHand => new MirrorChange(
                    'way-out-gained',
                    $index,
                    t(
                        '{who}: {what} goes to the {side}, away from their rear hand.',
                        who: $who,
                        what: $what,
                        side: $side,
                    ),
                ),
                Contact::TowardRearHand => new MirrorChange(
                    'way-out-lost',
                    $index,
                    t('{who}: {what} goes to the {side}, toward their rear hand.', who: $who, what: $what, side: $side),
                ),
            };
        }
        if (\in_array(Contact::OpenSide, $before, true) && !\in_array(Contact::OpenSide, $after, true)) {
            $changes[] = new MirrorChange(
                'open-side-lost',
                $index,
                t('{who}: the {what} no longer meets the open side of their body.', who: $who, what: $what),
            );
        }

        return $changes;
    }

    /** Returns the strike that the same limb throws as before the mirror, at the same target. */
    private function offer(StrikeItem $item): ?StrikeItem
    {
        $strike = $this->converter->counterpart($item->strike);

        return \in_array($item->target, $strike->targets, true)
            ? new StrikeItem($strike, $item->target, $item->effort)
            : null;
    }
}
