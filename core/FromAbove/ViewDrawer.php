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
use Periplus\Core\Floor\Place;
use Periplus\Core\Floor\Walk;
use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Technique\Stance;

/** Draws a chain from above: for both stances and both opponents, so that what a mirror changes is seen at once. */
final readonly class ViewDrawer
{
    /** Length of the drawn sole, in its own units. */
    private const SOLE = 31.0;
    /** The floor that is shown at least, cm. */
    private const LEAST_WIDTH = 120.0;
    private const LEAST_HEIGHT = 170.0;

    public static function draw(ChainInStance $chain, ChainTiming $timing, Sway $sway, Athlete $athlete): FromAbove
    {
        $build = new Build($athlete);
        $views = [];
        foreach ([$chain, $chain->mirror()] as $inStance) {
            foreach (Stance::cases() as $stance) {
                $opponent = new Opponent($stance);
                $views[] = self::view(
                    Walk::of($inStance, $timing, $opponent, $athlete),
                    new MomentDrawer($inStance, $timing, $sway, $opponent, $build),
                    $inStance->stance,
                    $opponent,
                );
            }
        }
        // All views have one scale, so that they can be compared.
        $width = max(
            self::LEAST_WIDTH,
            ...array_map(static fn (ViewFromAbove $one): float => $one->edges()->width(), $views),
        );
        $height = max(
            self::LEAST_HEIGHT,
            ...array_map(static fn (ViewFromAbove $one): float => $one->edges()->height(), $views),
        );

        return new FromAbove(
            sole: DrawingData::builtIn()->sole,
            soleScale: round(100 * $build->foot / self::SOLE, 3),
            shoulders: round(200 * $build->halfShoulders, 1),
            hips: round(200 * $build->halfHips, 1),
            head: 100 * FloorData::builtIn()->value('head'),
            width: $width,
            height: $height,
            views: array_map(
                static fn (ViewFromAbove $one): ViewFromAbove => $one->inTheMiddleOf($width, $height),
                $views,
            ),
        );
    }

    /** @param list<Place> $places */
    private static function view(array $places, MomentDrawer $drawer, Stance $stance, Opponent $opponent): ViewFromAbove
    {
        $opponents = $moments = [];
        $them = null;
        foreach ($places as $place) {
            if (null === $them || $them !== $place->them) {
                $them = $place->them;
                $opponents[] = $drawer->opponent($them);
            }
            $moments[] = $drawer->draw($place, \count($opponents) - 1);
        }

        return new ViewFromAbove(
            stance: $stance,
            opponent: $opponent->stance,
            isOpen: $opponent->isOpenTo($stance),
            left: 0.0,
            top: 0.0,
            opponents: $opponents,
            moments: $moments,
        );
    }
}
