<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;

use function Periplus\Core\Language\t;

/** Computes the picture of a combination; docs/formats/drawing.md describes it. */
final readonly class LineDrawer
{
    /** Interval between the written times, in ms. */
    private const TICK_MS = 500;

    public function __construct(private Writer $writer)
    {
    }

    /** @param Sway|null $sway the hips over the feet, where they are drawn */
    public function draw(ChainInStance $chain, ChainTiming $timing, ?Sway $sway, LineSize $size): LineDrawing
    {
        $measures = $size->measures();
        $items = new ItemDrawer($this->writer, $chain, $timing, $size);
        $length = Rounding::ms($timing->length());

        return new LineDrawing(
            size: $size,
            measures: $measures,
            lengthMs: $length,
            words: implode(', ', Words::byRole()->items($chain)),
            ticks: LineSize::Full === $size && null !== $measures->backRail
                ? $this->ticks($length, $measures->backRail + 17)
                : [],
            gaps: $this->gaps($chain, $timing, $size),
            melody: Curve::level(LineSize::Row === $size ? [] : $items->heights()),
            ribbon: (new RibbonDrawer($this->writer))->draw($chain, $timing, $sway, $measures),
            feet: null === $measures->feet ? null : [
                $chain->stance->value => (new FeetDrawer($chain, $timing))->draw($measures->feet),
                $chain->stance->other()->value => (new FeetDrawer($chain->mirror(), $timing))->draw($measures->feet),
            ],
            joints: $items->joints(),
            items: $items->items(),
        );
    }

    /** @return list<DrawnTick> */
    private function ticks(int $lengthMs, int $y): array
    {
        return array_map(
            static fn (int $ms): DrawnTick => new DrawnTick($ms, 0 === $ms ? '0' : $ms / 1000 .' s', $y),
            range(0, $lengthMs - $lengthMs % self::TICK_MS, self::TICK_MS),
        );
    }

    /** @return list<DrawnGap> */
    private function gaps(ChainInStance $chain, ChainTiming $timing, LineSize $size): array
    {
        $measures = $size->measures();
        $gaps = [];
        foreach ($timing->links as $link) {
            if (Verdict::Flows === $link->verdict) {
                continue;
            }
            $startMs = Rounding::ms($timing->moments[$link->to]->start);
            $waitMs = Rounding::ms($link->wait);
            $gaps[] = new DrawnGap(
                fromMs: max(0, $startMs - $waitMs),
                toMs: $startMs,
                top: LineSize::Row === $size ? 2.0 : $measures->head - $measures->tile / 2 - 4,
                bottom: LineSize::Row === $size ? $measures->height - 3.0 : $measures->moves + 20.0,
                verdict: $link->verdict,
                sign: Verdict::Reload === $link->verdict ? '▲' : '✕',
                label: '+'.$waitMs,
                sentence: t(
                    '{chain} to {chain2}: {verdict}, {wait} ms. {reason}',
                    chain: ucfirst(Words::byRole()->itemOf($chain, $link->from())),
                    chain2: Words::byRole()->itemOf($chain, $link->to),
                    verdict: $link->verdict->value,
                    wait: $waitMs,
                    reason: $timing->reason($link),
                ),
            );
        }

        return $gaps;
    }
}
