<?php

declare(strict_types=1);

namespace Periplus\Core\FromAbove;

use Periplus\Core\Technique\Stance;

/**
 * A chain seen from above, in both stances and against both opponents, at one scale. Lengths in cm. It serialises as
 * docs/formats/from-above.md describes it.
 */
final readonly class FromAbove
{
    /**
     * @param string $sole path of a left sole that points to the right
     * @param float $soleScale by which it is enlarged
     * @param float $shoulders from shoulder to shoulder
     * @param float $hips from hip to hip
     * @param float $head radius of the head
     * @param float $width of the floor that each view shows
     * @param list<ViewFromAbove> $views
     */
    public function __construct(
        public string $sole,
        public float $soleScale,
        public float $shoulders,
        public float $hips,
        public float $head,
        public float $width,
        public float $height,
        public array $views,
    ) {
    }

    /** Returns the views against that opponent alone. */
    public function against(Stance $opponent): self
    {
        return $this->only(static fn (ViewFromAbove $view): bool => $view->opponent === $opponent);
    }

    /** Returns the views in that stance alone. */
    public function inStance(Stance $stance): self
    {
        return $this->only(static fn (ViewFromAbove $view): bool => $view->stance === $stance);
    }

    /** @param \Closure(ViewFromAbove): bool $keep */
    private function only(\Closure $keep): self
    {
        return new self(
            sole: $this->sole,
            soleScale: $this->soleScale,
            shoulders: $this->shoulders,
            hips: $this->hips,
            head: $this->head,
            width: $this->width,
            height: $this->height,
            views: array_values(array_filter($this->views, $keep)),
        );
    }
}
