<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Technique\Role;

/** An opponent seen from above, in guard. */
final readonly class DrawnOpponent
{
    /** Room for the name of the rear hand beside it, cm. */
    private const NAME = 40.0;

    /**
     * @param list<DrawnPart> $parts
     * @param string $reach SVG path of what their rear hand reaches without a turn of the feet
     * @param float $liverX where their liver is, cm
     */
    public function __construct(
        public array $parts,
        public string $reach,
        public float $liverX,
        public float $liverY,
    ) {
    }

    /** Returns where the name of the rear hand ends, beside it and away from the head, in cm. */
    public function nameX(): float
    {
        $at = ['hand' => 0.0, 'head' => 0.0];
        foreach ($this->parts as $part) {
            if ('head' === $part->part || Role::Rear === $part->role) {
                $at[$part->part] = $part->x;
            }
        }

        return $at['hand'] + ($at['hand'] < $at['head'] ? -self::NAME : self::NAME);
    }
}
