<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Notation\Writer;

use function Periplus\Core\Language\t;

/** Draws the weight over time as a ribbon between the feet, and the hips over it. */
final readonly class RibbonDrawer
{
    /**
     * The weight shift from even, as a share, that reaches the edge of the ribbon: a quarter makes the swing easy to
     * read.
     */
    private const EDGE_SHARE = 0.25;

    public function __construct(private Writer $writer)
    {
    }

    public function draw(ChainInStance $chain, ChainTiming $timing, ?Sway $sway, LineMeasures $measures): ?DrawnRibbon
    {
        [$front, $back] = [$measures->frontRail, $measures->backRail];
        if (null === $front || null === $back) {
            return null;
        }
        $y = static fn (float $load): float => Rounding::units(
            ($front + $back) / 2
                - (min(self::EDGE_SHARE, max(-self::EDGE_SHARE, $load - 0.5)) / self::EDGE_SHARE)
                    * (($back - $front) / 2 - 4),
        );

        return new DrawnRibbon(
            front: $front,
            back: $back,
            line: Curve::monotone(
                array_map(static fn (array $point): array => [$point[0], $y($point[1])], $this->loadTrack($timing)),
            ),
            dots: $this->dots($chain, $timing, $y),
            words: $this->words($chain, $timing),
            hips: null === $sway || [] === $sway->points
                ? null
                : $this->hips($sway, $timing->runsPastTheFeet($sway), $y),
        );
    }

    /**
     * @param \Closure(float): float $y
     *
     * @return list<DrawnLoad>
     */
    private function dots(ChainInStance $chain, ChainTiming $timing, \Closure $y): array
    {
        $dots = [];
        foreach ($chain->chain->strikes() as $index => $item) {
            $next = $chain->chain->items[$index + 1] ?? null;
            // Of strikes that land together only the last one has a dot.
            if (!($next instanceof StrikeItem && $next->joined)) {
                $moment = $timing->moments[$index];
                $dots[] = new DrawnLoad(
                    Rounding::ms((float) $moment->impact),
                    $y($moment->load),
                    $item->strike->role,
                );
            }
        }

        return $dots;
    }

    private function words(ChainInStance $chain, ChainTiming $timing): string
    {
        return implode(
            ', ',
            array_map(
                fn (int $index, Item $item): string => ($item instanceof StrikeItem
                        ? $this->writer->code($item, $chain->stances[$index]) ?? $item->name()
                        : $item->name())
                    .' '
                    .round($timing->moments[$index]->load * 100)
                    .' %',
                array_keys($chain->chain->items),
                $chain->chain->items,
            ),
        );
    }

    /** @param \Closure(float): float $y */
    private function hips(Sway $sway, bool $isPast, \Closure $y): DrawnHips
    {
        $points = [];
        foreach ($sway->points as $point) {
            $ms = (float) Rounding::ms(1000 * $point->seconds);
            if ([] === $points || $ms > $points[\count($points) - 1][0]) {
                $points[] = [$ms, $y($point->hips / $sway->stance + 0.5)];
            }
        }
        [$endMs, $endY] = $points[\count($points) - 1];

        return new DrawnHips(
            line: Curve::monotone($points),
            endMs: $endMs,
            endY: $endY,
            pastMs: $isPast ? Rounding::ms(1000 * $sway->leastSeconds) : null,
            pastText: $isPast ? t('{least} cm past the feet', least: (int) round(abs(100 * $sway->least))) : '',
        );
    }

    /** @return list<array{float, float}> the share of the weight on the lead foot over time in ms, as corner points */
    private function loadTrack(ChainTiming $timing): array
    {
        $track = [[0.0, ($timing->moments[0] ?? null)->loadFrom ?? 0.5]];
        foreach ($timing->moments as $moment) {
            $track[] = [(float) Rounding::ms($moment->start), $moment->loadFrom];
            $track[] = [(float) Rounding::ms($moment->impact ?? $moment->end), $moment->load];
        }
        $last = $timing->moments[\count($timing->moments) - 1] ?? null;
        if (null !== $last) {
            $track[] = [(float) Rounding::ms($last->end), $last->load];
        }
        // Joined strikes begin before the strike they are joined to has landed; time only runs forward, and the last to
        // land decides.
        usort($track, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
        $forward = [];
        foreach ($track as $index => $point) {
            if ($point[0] < ($track[$index + 1][0] ?? \INF)) {
                $forward[] = $point;
            }
        }

        return $forward;
    }
}
