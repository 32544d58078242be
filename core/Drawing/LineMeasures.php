<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Target;

/** The measures of a drawing, in drawing units. */
final readonly class LineMeasures
{
    /** @var list<DrawnLane> */
    public array $lanes;

    /**
     * @param int $left room before the first millisecond
     * @param int $right room after the last millisecond
     * @param int|null $frontRail of the weight; null where it is not drawn
     * @param int|null $feet their height; null where they are not drawn
     * @param float $least units per ms: never less than the tiles need
     * @param float $most units per ms: never so much that a short chain falls apart
     */
    public function __construct(
        public int $left,
        public int $right,
        public int $tile,
        public int $head,
        public int $body,
        public int $leg,
        public int $moves,
        public int $height,
        public float $least,
        public float $most,
        public ?int $frontRail = null,
        public ?int $backRail = null,
        public ?int $feet = null,
    ) {
        $this->lanes = [
            new DrawnLane('head', $head),
            new DrawnLane('body', $body),
            new DrawnLane('leg', $leg),
            new DrawnLane('moves', $moves),
        ];
    }

    public function y(Item $item): float
    {
        return (float) ($item instanceof StrikeItem
            ? match ($item->target) {
                Target::Head => $this->head,
                Target::Body => $this->body,
                Target::Leg => $this->leg,
            }
            : $this->moves);
    }
}
