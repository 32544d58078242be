<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\ItemVisitor;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Stance;

/**
 * Writes one item in words.
 *
 * @internal use {@see Words}
 *
 * @implements ItemVisitor<string>
 */
final readonly class ItemWords implements ItemVisitor
{
    public function __construct(private bool $bySide, private Stance $running)
    {
    }

    public function strike(StrikeItem $item): string
    {
        $strike = $item->strike;
        $name = $strike->name;
        if ($this->bySide) {
            $noun = 'straight' === $strike->family ? $strike->name : $strike->family;
            $name = $this->running->sideOf($strike->role)->value.' '.$noun;
        }

        return ($item->joined ? 'with ' : '')
            .($item->feint ? 'fake ' : '')
            .$this->effort($item->effort)
            .$name
            .($item->target === $strike->defaultTarget() ? '' : ' to the '.$item->target->word())
            .match ($item->landing) {
                Landing::Back => '',
                Landing::Forward => ' landing forward',
                Landing::Behind => ' landing behind',
                Landing::HalfWay => ' landing halfway',
            }
        .($item->legUp ? ' with the leg still up' : '');
    }

    public function move(MoveItem $item): string
    {
        $move = $item->move;
        if (!$this->bySide || null === $move->toward || 'post' === $move->id) {
            // "Step out" without a hyphen would be read as the side that the next kick needs.
            return 'step-out' === $move->id ? $move->id : $move->words();
        }
        $side = $this->running->sideOf($move->toward)->value;
        $base = preg_replace('/-(lead|rear)$/', '', $move->id) ?? $move->id;

        return $base === $move->id ? $move->words().' to the '.$side : strtr($base, '-', ' ').' '.$side;
    }

    public function beat(Beat $item): string
    {
        return 'beat';
    }

    public function freeStrikes(FreeStrikes $item): string
    {
        if ([] !== $item->choice) {
            return \sprintf('any %d %sof ', $item->count, $this->effort($item->effort))
                .implode(' or ', array_map($this->strike(...), $item->choice));
        }

        return \sprintf(
            'any %d %s%s',
            $item->count,
            $this->effort($item->effort),
            1 === $item->count ? 'strike' : 'strikes',
        )
            .(null === $item->target ? '' : ' to the '.$item->target->word());
    }

    private function effort(Effort $effort): string
    {
        return match ($effort) {
            Effort::Hard => 'hard ',
            Effort::Light => 'light ',
            Effort::Plain => '',
        };
    }
}
