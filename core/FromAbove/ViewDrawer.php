<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Balance\Athlete;
use Periplus\Core\Balance\Sway;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Drawing\DrawingData;
use Periplus\Core\Floor\Build;
use Periplus\Core\Floor\FloorData;
use Periplus\Core\Floor\Walk;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Technique\Stance;

/** Draws a chain from above: for both stances and both opponents, so that what a mirror changes is seen at once. */
final readonly class ViewDrawer
{
    /** Length of the drawn sole, in its own units. */
    private const SOLE = 31.0;
    /** The floor that is shown at least, and the room around what is on it, cm. */
    private const LEAST_WIDTH = 120.0;
    private const LEAST_HEIGHT = 170.0;
    private const ROOM = 16.0;

    public static function draw(ChainInStance $chain, ChainTiming $timing, Sway $sway, Athlete $athlete): FromAbove
    {
        $build = new Build($athlete);
        $moments = $places = [];
        foreach ([$chain, $chain->mirror()] as $inStance) {
            foreach (Stance::cases() as $stance) {
                $opponent = new Opponent($stance);
                $drawer = new MomentDrawer($inStance, $timing, $sway, $opponent, $build);
                $places[] = [$inStance->stance, $opponent];
                $moments[] = array_map($drawer->draw(...), Walk::of($inStance, $timing, $opponent, $athlete));
            }
        }
        $edges = array_map(self::edges(...), $moments);
        // All views have one scale, so that they can be compared.
        $width = max(self::LEAST_WIDTH, ...array_map(static fn (Edges $one): float => $one->width(), $edges));
        $height = max(self::LEAST_HEIGHT, ...array_map(static fn (Edges $one): float => $one->height(), $edges));

        return new FromAbove(
            sole: DrawingData::builtIn()->sole,
            soleScale: round(100 * $build->foot / self::SOLE, 3),
            shoulders: round(200 * $build->halfShoulders, 1),
            hips: round(200 * $build->halfHips, 1),
            head: 100 * FloorData::builtIn()->value('head'),
            width: $width,
            height: $height,
            views: array_map(
                static fn (array $place, array $drawn, Edges $edge): ViewFromAbove => new ViewFromAbove(
                    stance: $place[0],
                    opponent: $place[1]->stance,
                    isOpen: $place[1]->isOpenTo($place[0]),
                    left: $edge->left - ($width - $edge->width()) / 2,
                    top: $edge->top - ($height - $edge->height()) / 2,
                    moments: $drawn,
                ),
                $places,
                $moments,
                $edges,
            ),
        );
    }

    /** @param list<DrawnMoment> $moments */
    private static function edges(array $moments): Edges
    {
        $parts = [];
        foreach ($moments as $moment) {
            array_push($parts, ...$moment->us, ...$moment->them);
        }
        $x = array_map(static fn (DrawnPart $part): float => $part->x, $parts);
        $y = array_map(static fn (DrawnPart $part): float => $part->y, $parts);

        return new Edges(
            floor(min($x) - self::ROOM),
            floor(min($y) - self::ROOM),
            ceil(max($x) + self::ROOM),
            ceil(max($y) + self::ROOM),
        );
    }
}
