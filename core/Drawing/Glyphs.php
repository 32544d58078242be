<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Technique\Data;

/** The signs of moves, from core/data/drawing.json: SVG paths in a box of 20 by 20. */
final readonly class Glyphs
{
    /** @param string $name id of a move, "beat" or "free" */
    public static function path(string $name): string
    {
        /** @var array{glyphs: array<string, string>, unknown: string}|null $data */
        static $data = null;
        if (null === $data) {
            /** @var array{glyphs: array<string, string>, unknown: string} $data */
            $data = Data::read('drawing');
        }

        return $data['glyphs'][$name] ?? $data['unknown'];
    }
}
