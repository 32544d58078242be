<?php

declare(strict_types=1);

namespace Periplus\Core\Combination;

use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Strike;

use function Periplus\Core\Language\t;

/**
 * Carries a chain into the other stance with the same limbs: the left hand stays the left hand, so roles swap wherever
 * the two running stances differ. Strikes without a counterpart are replaced, and each replacement is reported.
 */
final readonly class StanceConverter
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    public function carry(ChainInStance $inStance): CarriedChain
    {
        $stance = $inStance->stance->other();
        $running = $stance;
        $items = [];
        $replaced = [];
        foreach ($inStance->chain->items as $index => $item) {
            $swap = $running !== $inStance->stances[$index];
            if ($swap && $item instanceof StrikeItem) {
                $carried = $this->strike($item);
                $why = $this->reason($item, $carried);
            } elseif ($swap && $item instanceof MoveItem) {
                $carried = new MoveItem($this->catalogue->move($item->move->carry));
                $why = $item->move->carryNote;
            } elseif ($swap && $item instanceof FreeStrikes) {
                $carried = $item->outOf(array_map($this->strike(...), $item->choice));
                $why = null;
                foreach ($item->choice as $place => $strike) {
                    $reason = $this->reason($strike, $carried->choice[$place]);
                    if (null !== $reason) {
                        $replaced[] = new MirrorChange(
                            'replaced',
                            $index,
                            $this->sentence($strike, $carried->choice[$place], $reason),
                        );
                    }
                }
            } else {
                [$carried, $why] = [$item, null];
            }
            if (null !== $why) {
                $replaced[] = new MirrorChange('replaced', $index, $this->sentence($item, $carried, $why));
            }
            $items[] = $carried;
            $running = ChainInStance::after($carried, $running);
        }

        return new CarriedChain(new ChainInStance(Chain::of($items), $stance), $replaced);
    }

    /** Returns the strike that the same limb throws from the other role. */
    public function counterpart(Strike $strike): Strike
    {
        return null !== $strike->carry
            ? $this->catalogue->strike($strike->carry->to)
            : $this->catalogue->inFamily($strike->family, $strike->role->other())
                    ?? throw new \LogicException(\sprintf('The data names no carry for %s.', $strike->id));
    }

    private function strike(StrikeItem $item): StrikeItem
    {
        $strike = $this->counterpart($item->strike);
        $target = \in_array($item->target, $strike->targets, true) ? $item->target : $strike->defaultTarget();

        return $item->by($strike, $target);
    }

    /** Returns why the same limb throws something else in the other stance; null when it does not. */
    private function reason(StrikeItem $item, StrikeItem $carried): ?string
    {
        $why = $item->strike->carry?->why;

        if ($item->landing === $carried->landing) {
            return $why;
        }

        return (null === $why ? '' : $why.'; ')
            .(Landing::Behind === $item->landing
                ? t('that leg is behind already and lands where it left')
                : t('that leg is in front already and lands where it left'));
    }

    private function sentence(Item $from, Item $to, string $why): string
    {
        return $from->name() === $to->name()
            ? t('The {from} stays, but {why}.', from: $from->name(), why: $why)
            : t('The {from} becomes the {to}: {why}.', from: $from->name(), to: $to->name(), why: $why);
    }
}
