<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Balance\Sway;
use Periplus\Core\Flow\Timing\ChainTiming;

/** The hips over the feet through a chain, in cm. */
final readonly class BalanceDocument
{
    /** Distance from the hips to the edge of the feet where it is smallest, negative past it; and where and when. */
    public float $leastCm;
    public ?int $leastAt;
    public int $leastMs;
    public bool $overcommitted;
    public float $stanceCm;
    /** @var list<BalancePoint> */
    public array $points;

    public function __construct(Sway $sway, ChainTiming $timing)
    {
        $this->leastCm = round(100 * $sway->least, 1);
        $this->leastAt = $sway->leastAt;
        $this->leastMs = (int) round(1000 * $sway->leastSeconds);
        $this->overcommitted = $timing->runsPastTheFeet($sway);
        $this->stanceCm = round(100 * $sway->stance, 1);
        $this->points = array_map(BalancePoint::of(...), $sway->points);
    }
}
