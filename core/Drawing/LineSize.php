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

    /**
     * @return array{
     *     left: int,
     *     right: int,
     *     tile: int,
     *     lanes: array{head: int, body: int, leg: int, moves: int},
     *     ribbon: array{front: int, back: int}|null,
     *     feet: int|null,
     *     height: int,
     *     least: float,
     *     most: float,
     * }
     * room before the first millisecond and after the last; rails of the weight; units a millisecond: never less than
     * the tiles need, never so much that a short chain falls apart
     */
    public function measures(): array
    {
        return match ($this) {
            self::Row => [
                'left' => 4,
                'right' => 14,
                'tile' => 22,
                'lanes' => ['head' => 13, 'body' => 29, 'leg' => 45, 'moves' => 61],
                'ribbon' => null,
                'feet' => null,
                'height' => 71,
                'least' => 0.02,
                'most' => 0.112,
            ],
            self::Card => [
                'left' => 10,
                'right' => 20,
                'tile' => 28,
                'lanes' => ['head' => 36, 'body' => 60, 'leg' => 84, 'moves' => 107],
                'ribbon' => ['front' => 125, 'back' => 149],
                'feet' => null,
                'height' => 153,
                'least' => 0.1,
                'most' => 0.25,
            ],
            self::Full => [
                'left' => 82,
                'right' => 52,
                'tile' => 38,
                'lanes' => ['head' => 44, 'body' => 86, 'leg' => 128, 'moves' => 166],
                'ribbon' => ['front' => 202, 'back' => 248],
                'feet' => 292,
                'height' => 324,
                'least' => 0.15,
                'most' => 0.36,
            ],
            self::Wall => [
                'left' => 12,
                'right' => 30,
                'tile' => 46,
                'lanes' => ['head' => 30, 'body' => 72, 'leg' => 114, 'moves' => 152],
                'ribbon' => ['front' => 180, 'back' => 218],
                'feet' => null,
                'height' => 224,
                'least' => 0.2,
                'most' => 0.72,
            ],
            self::Sheet => [
                'left' => 50,
                'right' => 26,
                'tile' => 30,
                'lanes' => ['head' => 34, 'body' => 66, 'leg' => 98, 'moves' => 128],
                'ribbon' => null,
                'feet' => null,
                'height' => 160,
                'least' => 0.09,
                'most' => 0.25,
            ],
        };
    }

    /** Tells whether the names of the lanes are shown. */
    public function isNamed(): bool
    {
        return self::Full === $this || self::Sheet === $this;
    }
}
