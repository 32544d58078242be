<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Path;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * The opponent and their stance. The liver lies on the opponent's right, which faces our left; the lead thigh and rear
 * hand follow from the stance. Common practice, no source.
 */
final readonly class Opponent
{
    public function __construct(public Stance $stance)
    {
    }

    /** Tells whether the guard is open: stances differ. With the same stance it is closed. */
    public function isOpenTo(Stance $ours): bool
    {
        return $this->stance !== $ours;
    }

    /** Returns the side, as seen by us, that is safe to exit to: away from their rear hand. */
    public function safeSide(): Side
    {
        // The opponent's right hand faces our left.
        return $this->stance->sideOf(Role::Rear);
    }

    /** Returns one sentence on how the two face each other and where it is safe to exit. */
    public function guard(Stance $ours): string
    {
        $out = t('the way out is to the {safeSide}, away from their rear hand', safeSide: $this->safeSide()->value);
        $who = t('{ours} against {stance}', ours: ucfirst($ours->value), stance: $this->stance->value);

        return $this->isOpenTo($ours)
            ? t(
                '{who} is an open guard: the {sideOf} foot outside theirs; {out}.',
                who: $who,
                sideOf: $ours->sideOf(Role::Lead)->value,
                out: $out,
            )
            : t('{who} is a closed guard: {out}.', who: $who, out: $out);
    }

    /** @return list<Contact> what the item at that place meets; empty when nothing depends on the side */
    public function contacts(ChainInStance $inStance, int $index): array
    {
        $item = $inStance->chain->items[$index];
        $side = $inStance->side($index);
        if (null === $side) {
            return [];
        }
        if ($item instanceof MoveItem) {
            return match (true) {
                !$item->move->takesAngle() => [],
                $side === $this->safeSide() => [Contact::AwayFromRearHand],
                default => [Contact::TowardRearHand],
            };
        }
        if (!$item instanceof StrikeItem || !$this->comesRound($item)) {
            return [];
        }

        return match ($item->target) {
            Target::Head => [],
            Target::Leg => [$side === $this->stance->sideOf(Role::Lead) ? Contact::ThighInside : Contact::ThighOutside],
            Target::Body => [
                Side::Left === $side ? Contact::Liver : Contact::Spleen,
                ...$item->isLegStrike()
                && Role::Rear === $item->strike->role
                && $this->isOpenTo($inStance->stances[$index])
                    ? [Contact::OpenSide]
                    : [],
            ],
        };
    }

    /** Tells whether the side from which it comes decides what it meets: a hook, a round kick, a body uppercut. */
    private function comesRound(StrikeItem $item): bool
    {
        return Path::Circular === $item->strike->path
            || (Path::Vertical === $item->strike->path
                && Limb::Hand === $item->strike->limb
                && Target::Body === $item->target);
    }
}
