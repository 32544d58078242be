<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/** A measured link as it is shown: ms to a tenth. */
final readonly class LinkMeasurement
{
    public int $from;
    public int $to;
    public float $computed;
    public ?float $median;
    public ?float $spread;
    public int $count;
    public MeasuredVerdict $verdict;
    public string $says;

    public function __construct(MeasuredLink $link)
    {
        $this->from = $link->from;
        $this->to = $link->to;
        $this->computed = round($link->computed, 1);
        $this->median = null === $link->median ? null : round($link->median, 1);
        $this->spread = null === $link->spread ? null : round($link->spread, 1);
        $this->count = $link->count;
        $this->verdict = $link->verdict();
        $this->says = $link->says();
    }
}
