<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Technique\Data;

/** The shapes of drawings, from core/data/drawing.json. */
final readonly class DrawingData
{
    /**
     * @param array<string, string> $glyphs signs of moves by their id, of "beat" and of "free": SVG paths in a box of
     *                                      20 by 20
     * @param string $unknown sign of a move without one
     * @param string $sole SVG path of a left sole
     */
    private function __construct(private array $glyphs, private string $unknown, public string $sole)
    {
    }

    public static function builtIn(): self
    {
        /** @var self|null $data */
        static $data = null;
        if (null === $data) {
            /** @var array{glyphs: array<string, string>, unknown: string, sole: string} $read */
            $read = Data::read('drawing');
            $data = new self($read['glyphs'], $read['unknown'], $read['sole']);
        }

        return $data;
    }

    public function glyph(string $move): string
    {
        return $this->glyphs[$move] ?? $this->unknown;
    }

    public function glyphOf(Item $item): string
    {
        return $this->glyph(match (true) {
            $item instanceof MoveItem => $item->move->id,
            $item instanceof Beat => 'beat',
            default => 'free',
        });
    }
}
