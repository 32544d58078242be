<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Combination\Voice;
use Periplus\Core\Technique\Stance;

/** Writes a chain in words, by role ("lead hook to the body") or by side ("left hook to the body"). The reader reads both. */
final readonly class Words
{
    private function __construct(private bool $bySide)
    {
    }

    public static function byRole(): self
    {
        return new self(false);
    }

    public static function bySide(): self
    {
        return new self(true);
    }

    public function write(Voice $voice): string
    {
        return implode(', ', $this->items($voice));
    }

    /** @return list<string> the words of each item */
    public function items(Voice $voice): array
    {
        $words = [];
        foreach ($voice->chain->items as $at => $item) {
            $words[] = $this->item($item, $voice->stances[$at]);
        }

        return $words;
    }

    public function item(Item $item, Stance $running): string
    {
        return match (true) {
            $item instanceof MoveItem => $this->move($item, $running),
            $item instanceof Beat => 'beat',
            $item instanceof FreeStrikes => \sprintf('any %d %s', $item->count, 1 === $item->count ? 'strike' : 'strikes'),
            $item instanceof StrikeItem => $this->strike($item, $running),
            default => throw new \LogicException('There are no words for '.$item::class),
        };
    }

    private function strike(StrikeItem $item, Stance $running): string
    {
        $strike = $item->strike;
        $name = $strike->name;
        if ($this->bySide) {
            $noun = 'straight' === $strike->family ? $strike->name : $strike->family;
            $name = $running->sideOf($strike->role)->value.' '.$noun;
        }

        return ($item->joined ? 'with ' : '')
            .($item->feint ? 'fake ' : '')
            .match ($item->effort) {
                Effort::Hard => 'hard ',
                Effort::Light => 'light ',
                Effort::Plain => '',
            }
        .$name
        .($item->target === $strike->defaultTarget() ? '' : ' to the '.$item->target->word())
        .($item->landsForward ? ' landing forward' : '');
    }

    private function move(MoveItem $item, Stance $running): string
    {
        $move = $item->move;
        if (!$this->bySide || null === $move->toward || 'post' === $move->id) {
            return $move->words();
        }
        $side = $running->sideOf($move->toward)->value;
        $base = preg_replace('/-(lead|rear)$/', '', $move->id) ?? $move->id;

        return $base === $move->id ? $move->words().' to the '.$side : strtr($base, '-', ' ').' '.$side;
    }
}
