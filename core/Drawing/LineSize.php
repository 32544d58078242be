<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/** The sizes in which a combination line is drawn. Everything is in drawing units, which are pixels on the screen. */
enum LineSize: string
{
    /** A row of a list. */
    case Row = 'row';
    /** On a page, beside others. */
    case Card = 'card';
    /** Alone, with names, times and feet. */
    case Full = 'full';
    /** On the wall of the gym, read from a distance. */
    case Wall = 'wall';
    /** Many on a printed page. */
    case Sheet = 'sheet';

    public function measures(): LineMeasures
    {
        return match ($this) {
            self::Row => new LineMeasures(
                left: 4,
                right: 14,
                tile: 22,
                head: 13,
                body: 29,
                leg: 45,
                moves: 61,
                height: 71,
                least: 0.02,
                most: 0.112,
            ),
            self::Card => new LineMeasures(
                left: 10,
                right: 20,
                tile: 28,
                head: 36,
                body: 60,
                leg: 84,
                moves: 107,
                height: 153,
                least: 0.1,
                most: 0.25,
                frontRail: 125,
                backRail: 149,
            ),
            self::Full => new LineMeasures(
                left: 82,
                right: 52,
                tile: 38,
                head: 44,
                body: 86,
                leg: 128,
                moves: 166,
                height: 324,
                least: 0.15,
                most: 0.36,
                frontRail: 202,
                backRail: 248,
                feet: 292,
            ),
            self::Wall => new LineMeasures(
                left: 12,
                right: 30,
                tile: 46,
                head: 30,
                body: 72,
                leg: 114,
                moves: 152,
                height: 224,
                least: 0.2,
                most: 0.72,
                frontRail: 180,
                backRail: 218,
            ),
            self::Sheet => new LineMeasures(
                left: 50,
                right: 26,
                tile: 30,
                head: 34,
                body: 66,
                leg: 98,
                moves: 128,
                height: 160,
                least: 0.09,
                most: 0.25,
            ),
        };
    }

    /** Tells whether the names of the lanes are shown. */
    public function isNamed(): bool
    {
        return self::Full === $this || self::Sheet === $this;
    }
}
