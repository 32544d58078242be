<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Periplus\Core\Measure\MeasuredVerdict;

/** A link of a stored measurement, as computed and measured at the time. */
final readonly class KeptLink
{
    /**
     * @param int $from place of the earlier item; $to that of the later one
     * @param float $computed ms, at the athlete's pace
     * @param float|null $median ms; null where too few repetitions had it
     * @param float|null $spread ms
     */
    public function __construct(
        public int $from,
        public int $to,
        public float $computed,
        public ?float $median,
        public ?float $spread,
        public int $count,
        public MeasuredVerdict $verdict,
        public string $says,
    ) {
    }

    /** Tells whether it spans that index between two items. */
    public function covers(int $index): bool
    {
        return $this->from <= $index && $index < $this->to;
    }
}
