<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Periplus\App\Store\Instant;

/** A saved measurement as coaches see it. */
final readonly class ShownMeasurement
{
    /**
     * @param list<KeptLink> $links
     * @param list<float|int> $taps ms
     */
    public function __construct(
        public int $id,
        public int $combination,
        public string $method,
        public float $pace,
        public array $links,
        public array $taps,
        public string $coach,
        public Instant $createdAt,
        public bool $removed,
    ) {
    }
}
