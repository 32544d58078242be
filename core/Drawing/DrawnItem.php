<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Technique\Role;

/** A strike as a tile, or a move as a sign. */
final readonly class DrawnItem
{
    /**
     * @param string $kind strike or move
     * @param int $shift to the right of its time, in drawing units
     * @param string|null $effort light, plain or hard
     * @param string|null $shape path of a tile around its centre
     * @param string|null $legSign path beside a tile, around its centre: the leg stays up, or where it comes down
     * @param list<DrawnText> $label
     * @param string|null $glyph path of a move in a box of 20 by 20
     * @param string|null $name of a move, where names are shown
     */
    public function __construct(
        public string $text,
        public string $kind,
        public int $ms,
        public int $startMs,
        public int $shift,
        public float $y,
        public ?Role $role,
        public ?string $effort,
        public bool $isFeint,
        public ?string $shape,
        public ?string $legSign,
        public array $label,
        public ?string $glyph,
        public int $glyphSize,
        public ?string $name,
        public string $sentence,
    ) {
    }
}
