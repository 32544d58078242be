<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Moment;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Feet;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Computes the picture of a combination as data: time to the right, target as height, weight and feet below. The screen
 * and paper only place it: a point is given in ms plus, where it does not follow time, a shift in drawing units; see
 * docs/formats/drawing.md.
 *
 * @phpstan-import-type Pieces from Curve
 *
 * @phpstan-type Sole array{x: float, y: float, angle: float, isLeft: bool, role: string}
 * @phpstan-type Drawing array{
 *     size: string,
 *     left: int,
 *     right: int,
 *     edge: int,
 *     height: int,
 *     lengthMs: int,
 *     least: float,
 *     most: float,
 *     tile: int,
 *     isNamed: bool,
 *     words: string,
 *     lanes: list<array{name: string, y: int}>,
 *     ticks: list<array{ms: int, text: string, y: int}>,
 *     gaps: list<array{
 *         fromMs: int,
 *         toMs: int,
 *         top: float,
 *         bottom: float,
 *         verdict: string,
 *         sign: string,
 *         label: string,
 *         sentence: string,
 *     }>,
 *     melody: Pieces,
 *     ribbon: array<string, mixed>|null,
 *     feet: array<string, array<string, mixed>>|null,
 *     joints: list<array{ms: int, from: float, to: float}>,
 *     items: list<array<string, mixed>>,
 * }
 */
final readonly class LineDrawing
{
    /**
     * The weight shift from even, as a share, that reaches the edge of the ribbon: a quarter makes the swing easy to
     * read.
     */
    private const RIBBON_EDGE_SHARE = 0.25;
    private const STEP = 11.0;
    /** Interval between the written times, in ms. */
    private const TICK_MS = 500;

    /**
     * @var array{
     *     glyphs: array<string, string>,
     *     unknown: string,
     *     sole: string,
     *     feet: array<string, array{ahead: float|int, lead: float|int, turn?: float|int}>,
     * }
     */
    private array $data;

    public function __construct(private Writer $writer)
    {
        /**
         * @var array{
         *     glyphs: array<string, string>,
         *     unknown: string,
         *     sole: string,
         *     feet: array<string, array{ahead: float|int, lead: float|int, turn?: float|int}>,
         * } $data
         */
        $data = Data::read('drawing');
        $this->data = $data;
    }

    /**
     * @param Sway|null $sway the hips over the feet, where they are drawn
     *
     * @return Drawing
     */
    public function draw(ChainInStance $chain, ChainTiming $timing, ?Sway $sway, LineSize $size): array
    {
        $measures = $size->measures();
        $length = self::ms($timing->length());
        $ribbon = $measures['ribbon'];

        return [
            'size' => $size->value,
            'left' => $measures['left'],
            'right' => $measures['right'],
            'edge' => $size->isNamed() ? 10 : 2,
            'height' => $measures['height'],
            'lengthMs' => $length,
            'least' => $measures['least'],
            'most' => $measures['most'],
            'tile' => $measures['tile'],
            'isNamed' => $size->isNamed(),
            'words' => implode(', ', Words::byRole()->items($chain)),
            'lanes' => array_map(
                static fn (string $name, int $y): array => ['name' => $name, 'y' => $y],
                array_keys($measures['lanes']),
                $measures['lanes'],
            ),
            'ticks' => LineSize::Full === $size && null !== $ribbon
                    ? array_map(
                        static fn (int $ms): array => [
                            'ms' => $ms,
                            'text' => 0 === $ms ? '0' : $ms / 1000 .' s',
                            'y' => $ribbon['back'] + 17,
                        ],
                        array_map(
                            static fn (int $tick): int => $tick * self::TICK_MS,
                            range(0, intdiv($length, self::TICK_MS)),
                        ),
                    )
                    : [],
            'gaps' => $this->gaps($chain, $timing, $size),
            'melody' => LineSize::Row === $size ? [] : Curve::level($this->heights($chain, $timing, $size)),
            'ribbon' => null === $ribbon ? null : $this->ribbon($chain, $timing, $sway, $ribbon, $size),
            'feet' => null === $measures['feet'] ? null : [
                $chain->stance->value => $this->feet($chain, $timing, $measures['feet']),
                $chain->stance->other()->value => $this->feet($chain->mirror(), $timing, $measures['feet']),
            ],
            'joints' => $this->joints($chain, $timing, $size),
            'items' => $this->items($chain, $timing, $size),
        ];
    }

    /** @return list<array<string, mixed>> */
    private function items(ChainInStance $chain, ChainTiming $timing, LineSize $size): array
    {
        $rows = [];
        $tile = $size->measures()['tile'];
        foreach ($chain->chain->items as $index => $item) {
            $strike = $item instanceof StrikeItem;
            $label = $strike
                ? $this->writer->code($item, $chain->stances[$index]) ?? $item->strike->name
                : $item->name();
            $rows[] = [
                'text' => $this->writer->item($item, $chain->stances[$index]),
                'kind' => $strike ? 'strike' : 'move',
                'ms' => self::centre($timing->moments[$index]),
                'startMs' => self::ms($timing->moments[$index]->start),
                'shift' => self::shift($chain->chain->items, $index, $tile),
                'y' => self::y($item, $size),
                'role' => $strike ? $item->strike->role->value : null,
                'effort' => $strike ? strtolower($item->effort->name) : null,
                'isFeint' => $strike && $item->feint,
                'shape' => $strike ? self::shape($item->strike->role, $tile) : null,
                'label' => $strike ? self::label($label, $tile, $item->strike->role) : [],
                'glyph' => $strike ? null : self::glyph($item),
                'glyphSize' => match ($size) {
                    LineSize::Row => 17,
                    LineSize::Wall => 32,
                    default => 20,
                },
                'name' => !$strike && $size->isNamed() ? $label : null,
                'sentence' => self::sentence($chain, $timing, $index),
            ];
        }

        return $rows;
    }

    private static function glyph(Item $item): string
    {
        return Glyphs::path($item instanceof MoveItem ? $item->move->id : ('beat' === $item->name() ? 'beat' : 'free'));
    }

    /**
     * A lead strike is pointed, a rear one square. Shape and fill repeat what the colour says, for black-and-white
     * paper.
     */
    private static function shape(Role $role, int $size): string
    {
        $half = $size / 2;
        $tip = $size * 0.26;
        $n = self::number(...);

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
     * @return list<array{
     *     text: string,
     *     x: float,
     *     y: float,
     *     size: float,
     * }> a number fills the tile; a strike without one is written small, a word a line
     */
    private static function label(string $text, int $size, Role $role): array
    {
        $x = Role::Lead === $role ? -$size * 0.03 : 0.0;
        if (mb_strlen($text) <= 3) {
            $share = 3 === mb_strlen($text) ? 0.52 : 0.64;

            return [
                [
                    'text' => $text,
                    'x' => self::round($x),
                    'y' => self::round($size * $share * 0.35),
                    'size' => self::round($size * $share),
                ],
            ];
        }
        $words = \array_slice(array_values(array_diff(explode(' ', $text), ['lead', 'rear'])), 0, 3);
        $lines = [];
        foreach ($words as $index => $word) {
            $lines[] = [
                'text' => mb_substr($word, 0, 8),
                'x' => self::round($x),
                'y' => self::round($size * 0.26 * ($index - (\count($words) - 1) / 2) + $size * 0.09),
                'size' => self::round($size * 0.26),
            ];
        }

        return $lines;
    }

    /**
     * Returns the accessible sentence of a tile: "Cross, lands at 0.49 s. Flows. Weight and hips are where the cross
     * needs them.".
     */
    private static function sentence(ChainInStance $chain, ChainTiming $timing, int $index): string
    {
        $moment = $timing->moments[$index];
        $when =
            null === $moment->impact
                ? t('done at {time}', time: self::seconds($moment->end))
                : t('lands at {time}', time: self::seconds($moment->impact));
        $link = self::linkTo($timing, $index);
        $wait = null === $link ? 0 : self::ms($link->wait);
        $verdict = match ($link?->verdict) {
            null => '',
            Verdict::Flows => $wait > 0 ? t(' Flows, {wait} ms. ', wait: $wait) : t(' Flows. '),
            Verdict::Reload => t(' Reload of {wait} ms. ', wait: $wait),
            Verdict::Breaks => t(' Breaks: {wait} ms. ', wait: $wait),
        };

        return ucfirst(self::words($chain, $index)).
            ', '.
            $when.
            '.'.
            $verdict.
            (null === $link ? '' : $timing->reason($link));
    }

    /**
     * @return list<array{
     *     fromMs: int,
     *     toMs: int,
     *     top: float,
     *     bottom: float,
     *     verdict: string,
     *     sign: string,
     *     label: string,
     *     sentence: string,
     * }> a reload and a break, as wide as their wait
     */
    private function gaps(ChainInStance $chain, ChainTiming $timing, LineSize $size): array
    {
        $measures = $size->measures();
        $row = LineSize::Row === $size;
        $gaps = [];
        foreach ($timing->links as $link) {
            if (Verdict::Flows === $link->verdict) {
                continue;
            }
            $start = self::ms($timing->moments[$link->to]->start);
            $wait = self::ms($link->wait);
            $gaps[] = [
                'fromMs' => max(0, $start - $wait),
                'toMs' => $start,
                'top' => $row ? 2.0 : $measures['lanes']['head'] - $measures['tile'] / 2 - 4,
                'bottom' => $row ? $measures['height'] - 3.0 : $measures['lanes']['moves'] + 20.0,
                'verdict' => $link->verdict->value,
                'sign' => Verdict::Reload === $link->verdict ? '▲' : '✕',
                'label' => '+'.$wait,
                'sentence' => t(
                    '{chain} to {chain2}: {verdict}, {wait} ms. {reason}',
                    chain: ucfirst(self::words($chain, $link->from())),
                    chain2: self::words($chain, $link->to),
                    verdict: $link->verdict->value,
                    wait: $wait,
                    reason: $timing->reason($link),
                ),
            ];
        }

        return $gaps;
    }

    /** @return list<array{float, float}> where the strikes land, so that the eye follows the change of height */
    private function heights(ChainInStance $chain, ChainTiming $timing, LineSize $size): array
    {
        $points = [];
        foreach ($chain->chain->strikes() as $index => $item) {
            $points[] = [(float) self::centre($timing->moments[$index]), self::y($item, $size)];
        }

        return $points;
    }

    /** @return list<array{ms: int, from: float, to: float}> */
    private function joints(ChainInStance $chain, ChainTiming $timing, LineSize $size): array
    {
        $joints = [];
        foreach ($chain->chain->strikes() as $index => $item) {
            if ($item->joined && $index > 0) {
                $joints[] = [
                    'ms' => self::centre($timing->moments[$index - 1]),
                    'from' => self::y($chain->chain->items[$index - 1], $size),
                    'to' => self::y($item, $size),
                ];
            }
        }

        return $joints;
    }

    /**
     * @param array{front: int, back: int} $rails
     *
     * @return array<string, mixed>
     */
    private function ribbon(ChainInStance $chain, ChainTiming $timing, ?Sway $sway, array $rails, LineSize $size): array
    {
        $middle = ($rails['front'] + $rails['back']) / 2;
        $y = static fn (float $load): float => self::round(
            $middle
                - ((min(0.5 + self::RIBBON_EDGE_SHARE, max(0.5 - self::RIBBON_EDGE_SHARE, $load)) - 0.5)
                    / self::RIBBON_EDGE_SHARE)
                    * (($rails['back'] - $rails['front']) / 2 - 4),
        );
        $dots = [];
        $words = [];
        foreach ($chain->chain->items as $index => $item) {
            $moment = $timing->moments[$index];
            $words[] =
                ($item instanceof StrikeItem
                    ? $this->writer->code($item, $chain->stances[$index]) ?? $item->name()
                    : $item->name())
                .' '
                .round($moment->load * 100)
                .' %';
            $next = $chain->chain->items[$index + 1] ?? null;
            if ($item instanceof StrikeItem && !($next instanceof StrikeItem && $next->joined)) {
                $dots[] = [
                    'ms' => self::ms((float) $moment->impact),
                    'y' => $y($moment->load),
                    'role' => $item->strike->role->value,
                ];
            }
        }

        return [
            'front' => $rails['front'],
            'back' => $rails['back'],
            'middle' => $middle,
            'line' => Curve::monotone(
                array_map(static fn (array $point): array => [$point[0], $y($point[1])], self::loadTrack($timing)),
            ),
            'dots' => $dots,
            'words' => implode(', ', $words),
            'hips' => null === $sway || [] === $sway->points
                ? null
                : $this->hips($sway, $timing->runsPastTheFeet($sway), $y),
        ];
    }

    /**
     * @param \Closure(float): float $y
     *
     * @return array{
     *     line: Pieces,
     *     endMs: float,
     *     endY: float,
     *     pastMs: int|null,
     *     pastText: string,
     * } the hips as the pendulum has them; where they run past the feet it is said how far
     */
    private function hips(Sway $sway, bool $isPast, \Closure $y): array
    {
        $points = [];
        foreach ($sway->points as $point) {
            $ms = (float) self::ms(1000 * $point->seconds);
            if ([] === $points || $ms > $points[\count($points) - 1][0]) {
                $points[] = [$ms, $y($point->hips / $sway->stance + 0.5)];
            }
        }
        [$endMs, $endY] = $points[\count($points) - 1];

        return [
            'line' => Curve::monotone($points),
            'endMs' => $endMs,
            'endY' => $endY,
            'pastMs' => $isPast ? self::ms(1000 * $sway->leastSeconds) : null,
            'pastText' => $isPast ? t('{least} cm past the feet', least: (int) round(abs(100 * $sway->least))) : '',
        ];
    }

    /** @return list<array{float, float}> the share of the weight on the lead foot over time, as corner points */
    private static function loadTrack(ChainTiming $timing): array
    {
        $track = [[0.0, ($timing->moments[0] ?? null)->loadFrom ?? 0.5]];
        foreach ($timing->moments as $moment) {
            $track[] = [(float) self::ms($moment->start), $moment->loadFrom];
            $track[] = [(float) self::ms($moment->impact ?? $moment->end), $moment->load];
        }
        $last = $timing->moments[\count($timing->moments) - 1] ?? null;
        if (null !== $last) {
            $track[] = [(float) self::ms($last->end), $last->load];
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

    /**
     * @return array{
     *     y: int,
     *     sole: string,
     *     pairs: list<array<string, mixed>>,
     * } one pair at the start, and one at each item that moves or turns the feet, with where they were
     */
    private function feet(ChainInStance $chain, ChainTiming $timing, int $y): array
    {
        $pairs = [
            [
                'ms' => 0,
                'clear' => 34,
                'dx' => 0.0,
                'dy' => 0.0,
                'turn' => 0.0,
                'isBefore' => false,
                'soles' => self::soles($chain->stance, false),
            ],
        ];
        foreach ($chain->chain->items as $index => $item) {
            $feet = $item instanceof MoveItem ? $item->move->feet : Feet::Stay;
            $changes = $item->changesStance();
            if (!$changes && Feet::Stay === $feet) {
                continue;
            }
            $before = $chain->stances[$index];
            $shift = $this->data['feet'][$item instanceof MoveItem ? $item->move->id : ''] ?? [
                'ahead' => $changes ? 0.6 : 0.0,
                'lead' => 0.0,
            ];
            $up = Stance::Orthodox === $before ? -1 : 1;
            // So close to the pair at the start, the two could not be told apart.
            $place = ['ms' => self::ms($timing->moments[$index]->end), 'clear' => 104];
            $pairs[] = [
                ...$place,
                'dx' => self::round(-$shift['ahead'] * self::STEP),
                'dy' => self::round(-$shift['lead'] * self::STEP * $up),
                'turn' => 0.0,
                'isBefore' => true,
                'soles' => self::soles($before, false),
            ];
            $pairs[] = [
                ...$place,
                'dx' => 0.0,
                'dy' => 0.0,
                'turn' => self::round(($shift['turn'] ?? 0) * -$up),
                'isBefore' => false,
                'soles' => self::soles($changes ? $before->other() : $before, Feet::Cross === $feet),
            ];
        }

        return ['y' => $y, 'sole' => $this->data['sole'], 'pairs' => $pairs];
    }

    /**
     * @return list<Sole> seen from above, the front foot to the right: a left foot stands above the line of the chain,
     *                    a right foot below it
     */
    private static function soles(Stance $stance, bool $crossed): array
    {
        $up = (Stance::Orthodox === $stance ? -1 : 1) * ($crossed ? -0.6 : 1.0);

        return [
            [
                'x' => 15.0,
                'y' => self::round(8 * $up),
                'angle' => self::round(6 * $up),
                'isLeft' => Stance::Orthodox === $stance,
                'role' => 'lead',
            ],
            [
                'x' => -15.0,
                'y' => self::round(-8 * $up),
                'angle' => self::round(-38 * $up),
                'isLeft' => Stance::Orthodox !== $stance,
                'role' => 'rear',
            ],
        ];
    }

    private static function y(Item $item, LineSize $size): float
    {
        $lanes = $size->measures()['lanes'];

        return (float) ($item instanceof StrikeItem ? $lanes[$item->target->word()] : $lanes['moves']);
    }

    /** Returns the x of an item: a strike at its impact, everything else in the middle of its time. */
    private static function centre(Moment $moment): int
    {
        return null === $moment->impact
            ? (int) round((self::ms($moment->start) + self::ms($moment->end)) / 2)
            : self::ms($moment->impact);
    }

    /**
     * Returns the shift of joined strikes: they land at one moment, so at the same height they are drawn side by side,
     * touching.
     *
     * @param list<Item> $items
     */
    private static function shift(array $items, int $index, int $tile): int
    {
        $item = $items[$index];
        $shift = 0;
        for ($place = $index; $place > 0; --$place) {
            [$here, $before] = [$items[$place], $items[$place - 1]];
            if (
                !($item instanceof StrikeItem)
                || !($here instanceof StrikeItem)
                || !$here->joined
                || !($before instanceof StrikeItem)
            ) {
                break;
            }
            $shift += $before->target === $item->target ? $tile : 0;
        }

        return $shift;
    }

    private static function linkTo(ChainTiming $timing, int $index): ?Link
    {
        foreach ($timing->links as $link) {
            if ($link->to === $index) {
                return $link;
            }
        }

        return null;
    }

    private static function words(ChainInStance $chain, int $index): string
    {
        return Words::byRole()->item($chain->chain->items[$index], $chain->stances[$index]);
    }

    private static function seconds(float $ms): string
    {
        return number_format(self::ms($ms) / 1000, 2).' s';
    }

    private static function ms(float $ms): int
    {
        return (int) round($ms);
    }

    private static function round(float $value): float
    {
        return round($value, 2);
    }

    private static function number(float $value): string
    {
        return (string) round($value, 2);
    }
}
