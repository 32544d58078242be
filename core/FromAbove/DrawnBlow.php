<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Floor\Point;
use Periplus\Core\Technique\Role;

/** The way of a hand, an elbow, a knee or a foot to where it lands, in cm: a curve with one control point. */
final readonly class DrawnBlow
{
    /** SVG path. */
    public string $d;
    public float $x;
    public float $y;

    /** @param string|null $where what it reaches where the side decides: "to the liver" */
    public function __construct(
        Point $from,
        Point $control,
        Point $to,
        public Role $role,
        public bool $isLeg,
        public bool $isFeint,
        public ?string $where,
        public bool $isLiver,
        public bool $isSpleen,
    ) {
        $this->x = round(100 * $to->x, 1);
        $this->y = round(100 * $to->y, 1);
        $this->d = \sprintf(
            'M%s %sQ%s %s %s %s',
            round(100 * $from->x, 1),
            round(100 * $from->y, 1),
            round(100 * $control->x, 1),
            round(100 * $control->y, 1),
            $this->x,
            $this->y,
        );
    }
}
