<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\Landing;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

/** Draws the strikes of a combination as tiles and its moves as signs. */
final readonly class ItemDrawer
{
    private LineMeasures $measures;
    private DrawingData $data;

    public function __construct(
        private Writer $writer,
        private ChainInStance $chain,
        private ChainTiming $timing,
        private LineSize $size,
    ) {
        $this->measures = $size->measures();
        $this->data = DrawingData::builtIn();
    }

    /** @return list<DrawnItem> */
    public function items(): array
    {
        return array_map(
            fn (int $index, Item $item): DrawnItem => $item instanceof StrikeItem
                ? $this->strike($index, $item)
                : $this->move($index, $item),
            array_keys($this->chain->chain->items),
            $this->chain->chain->items,
        );
    }

    /** @return list<array{float, float}> ms and height of each strike */
    public function heights(): array
    {
        $points = [];
        foreach ($this->chain->chain->strikes() as $index => $item) {
            $points[] = [(float) $this->timing->moments[$index]->centreMs(), $this->measures->y($item)];
        }

        return $points;
    }

    /** @return list<DrawnJoint> */
    public function joints(): array
    {
        $joints = [];
        foreach ($this->chain->chain->strikes() as $index => $item) {
            if ($item->joined && $index > 0) {
                // A move that goes with a strike stands where the strike lands.
                $joints[] = new DrawnJoint(
                    $this->timing->moments[$this->chain->chain->goesWithMove($index) ? $index : $index - 1]->centreMs(),
                    $this->measures->y($this->chain->chain->items[$index - 1]),
                    $this->measures->y($item),
                );
            }
        }

        return $joints;
    }

    private function strike(int $index, StrikeItem $item): DrawnItem
    {
        $stance = $this->chain->stances[$index];
        $moment = $this->timing->moments[$index];

        return new DrawnItem(
            text: $this->writer->item($item, $stance),
            kind: 'strike',
            ms: $moment->centreMs(),
            startMs: Rounding::ms($moment->start),
            shift: $this->shift($index, $item),
            y: $this->measures->y($item),
            role: $item->strike->role,
            effort: $item->effort->word(),
            isFeint: $item->feint,
            shape: $this->shape($item->strike->role),
            legSign: $this->legSign($item),
            label: $this->label($this->writer->code($item, $stance) ?? $item->strike->name, $item->strike->role),
            glyph: null,
            glyphSize: $this->glyphSize(),
            name: null,
            sentence: $this->sentence($index),
        );
    }

    private function move(int $index, Item $item): DrawnItem
    {
        $moment = $this->timing->moments[$index];
        $next = $index + 1;
        $isJoined = isset($this->chain->chain->items[$next]) && $this->chain->chain->goesWithMove($next);

        return new DrawnItem(
            text: $this->writer->item($item, $this->chain->stances[$index]),
            kind: 'move',
            ms: $this->timing->moments[$isJoined ? $next : $index]->centreMs(),
            startMs: Rounding::ms($moment->start),
            // Where the chain begins takes no time; beside the names of the lanes it stands free.
            shift: $item instanceof MoveItem && $item->move->isStart() ? (int) ceil($this->measures->tile / 2) : 0,
            y: $this->measures->y($item),
            role: null,
            effort: null,
            isFeint: false,
            shape: null,
            legSign: null,
            label: [],
            glyph: $this->data->glyphOf($item),
            glyphSize: $this->glyphSize(),
            name: $this->size->isNamed() ? $item->name() : null,
            sentence: $this->sentence($index),
        );
    }

    private function glyphSize(): int
    {
        return match ($this->size) {
            LineSize::Row => 17,
            LineSize::Wall => 32,
            default => 20,
        };
    }

    /**
     * A lead strike is pointed, a rear one square. Shape and fill repeat what the colour says, for black-and-white
     * paper.
     */
    private function shape(Role $role): string
    {
        $half = $this->measures->tile / 2;
        $tip = $this->measures->tile * 0.26;
        $n = static fn (float $value): string => (string) Rounding::units($value);

        return Role::Lead === $role
            ? \sprintf(
                'M%1$s %1$sH%2$sL%3$s 0L%2$s %4$sH%1$sZ',
                $n(-$half),
                $n($half - $tip * 0.4),
                $n($half + $tip * 0.6),
                $n($half),
            )
            : \sprintf(
                'M%1$s %2$sH%3$sQ%4$s %2$s %4$s %1$sV%3$sQ%4$s %4$s %3$s %4$sH%1$sQ%2$s %4$s %2$s %3$sV%1$sQ%2$s '
                    .'%2$s %1$s %2$sZ',
                $n(-$half + 3),
                $n(-$half),
                $n($half - 3),
                $n($half),
            );
    }

    /**
     * Returns a roof over a kick of the leg that is still up, and an arrow under one whose foot comes down elsewhere:
     * to the right in front, to the left behind; a line without a tip half way.
     */
    private function legSign(StrikeItem $item): ?string
    {
        $half = $this->measures->tile / 2;
        $wide = $this->measures->tile * 0.3;
        $tip = $this->measures->tile * 0.1;
        $n = static fn (float $value): string => (string) Rounding::units($value);
        $arrow = static fn (int $way): string => \sprintf(
            'M%s %sH%sM%s %sL%s %sL%s %s',
            $n(-$way * $wide),
            $n($half + 2 * $tip),
            $n($way * $wide),
            $n($way * ($wide - $tip)),
            $n($half + $tip),
            $n($way * $wide),
            $n($half + 2 * $tip),
            $n($way * ($wide - $tip)),
            $n($half + 3 * $tip),
        );

        return match (true) {
            $item->legUp => \sprintf(
                'M%s %sL0 %sL%s %s',
                $n(-$wide),
                $n(-$half - $tip),
                $n(-$half - 2.6 * $tip),
                $n($wide),
                $n(-$half - $tip),
            ),
            Landing::Forward === $item->landing => $arrow(1),
            Landing::Behind === $item->landing => $arrow(-1),
            Landing::HalfWay === $item->landing => \sprintf('M%s %sH%s', $n(-$wide), $n($half + 2 * $tip), $n($wide)),
            default => null,
        };
    }

    /**
     * Returns the text of a tile: a number fills it; a strike without one is written small, a word a line.
     *
     * @return list<DrawnText>
     */
    private function label(string $text, Role $role): array
    {
        $tile = $this->measures->tile;
        $x = Rounding::units(Role::Lead === $role ? -$tile * 0.03 : 0.0);
        if (mb_strlen($text) <= 3) {
            $share = 3 === mb_strlen($text) ? 0.52 : 0.64;

            return [
                new DrawnText($text, $x, Rounding::units($tile * $share * 0.35), Rounding::units($tile * $share)),
            ];
        }
        $words = \array_slice(array_values(array_diff(explode(' ', $text), ['lead', 'rear'])), 0, 3);

        return array_map(
            static fn (int $index, string $word): DrawnText => new DrawnText(
                mb_substr($word, 0, 8),
                $x,
                Rounding::units($tile * 0.26 * ($index - (\count($words) - 1) / 2) + $tile * 0.09),
                Rounding::units($tile * 0.26),
            ),
            array_keys($words),
            $words,
        );
    }

    /**
     * Returns the accessible sentence of a tile: "Cross, lands at 0.49 s. Flows. Weight and hips are where the cross
     * needs them.".
     */
    private function sentence(int $index): string
    {
        $moment = $this->timing->moments[$index];
        $item = $this->chain->chain->items[$index];
        if ($item instanceof MoveItem && $item->move->isStart()) {
            return t('{name}: the chain begins there.', name: ucfirst($item->name()));
        }
        $seconds = static fn (float $ms): string => number_format(Rounding::ms($ms) / 1000, 2).' s';
        $when =
            null === $moment->impact
                ? t('done at {time}', time: $seconds($moment->end))
                : t('lands at {time}', time: $seconds($moment->impact));
        $link = $this->timing->linkTo($index);
        $wait = null === $link ? 0 : Rounding::ms($link->wait);
        $verdict = match ($link?->verdict) {
            null => '',
            Verdict::Flows => $wait > 0 ? t(' Flows, {wait} ms. ', wait: $wait) : t(' Flows. '),
            Verdict::Reload => t(' Reload of {wait} ms. ', wait: $wait),
            Verdict::Breaks => t(' Breaks: {wait} ms. ', wait: $wait),
        };

        return ucfirst(Words::byRole()->itemOf($this->chain, $index)).
            ', '.
            $when.
            '.'.
            $verdict.
            (null === $link ? '' : $this->timing->reason($link));
    }

    /**
     * Returns the shift of joined strikes: they land at one moment, so at the same height they are drawn side by side,
     * touching.
     */
    private function shift(int $index, StrikeItem $item): int
    {
        $items = $this->chain->chain->items;
        $shift = 0;
        for ($place = $index; $place > 0; --$place) {
            [$here, $before] = [$items[$place], $items[$place - 1]];
            if (!($here instanceof StrikeItem) || !$here->joined || !($before instanceof StrikeItem)) {
                break;
            }
            $shift += $before->target === $item->target ? $this->measures->tile : 0;
        }

        return $shift;
    }
}
