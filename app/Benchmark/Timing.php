<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

/** Times of the same request, in ms. */
final readonly class Timing
{
    public float $median;
    public float $slowest;

    /** @param list<float> $times 0 without one */
    public function __construct(array $times)
    {
        sort($times);
        $this->median = $times[intdiv(\count($times), 2)] ?? 0.0;
        $this->slowest = $times[\count($times) - 1] ?? 0.0;
    }
}
