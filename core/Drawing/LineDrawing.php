<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/**
 * The picture of a combination as data: time to the right, target as height, weight and feet below. The screen and
 * paper only place it: a point is given in ms plus, where it does not follow time, a shift in drawing units. It
 * serialises as docs/formats/drawing.md describes it.
 */
final readonly class LineDrawing
{
    public int $left;
    public int $right;
    /** Distance between the end of the lanes and the edge, in drawing units. */
    public int $edge;
    public int $height;
    /** Minimum and maximum of drawing units per ms. */
    public float $least;
    public float $most;
    public int $tile;
    /** Tells whether the names of the lanes and moves are shown. */
    public bool $isNamed;
    /** @var list<DrawnLane> */
    public array $lanes;

    /**
     * @param string $words the combination in words
     * @param list<DrawnTick> $ticks
     * @param list<DrawnGap> $gaps
     * @param Curve $melody through the heights of the strikes, so that the eye follows the change of height
     * @param array<string, DrawnFeet>|null $feet by stance; null where no feet are drawn
     * @param list<DrawnJoint> $joints
     * @param list<DrawnItem> $items
     */
    public function __construct(
        public LineSize $size,
        LineMeasures $measures,
        public int $lengthMs,
        public string $words,
        public array $ticks,
        public array $gaps,
        public Curve $melody,
        public ?DrawnRibbon $ribbon,
        public ?array $feet,
        public array $joints,
        public array $items,
    ) {
        $this->left = $measures->left;
        $this->right = $measures->right;
        $this->edge = $size->isNamed() ? 10 : 2;
        $this->height = $measures->height;
        $this->least = $measures->least;
        $this->most = $measures->most;
        $this->tile = $measures->tile;
        $this->isNamed = $size->isNamed();
        $this->lanes = $measures->lanes;
    }
}
