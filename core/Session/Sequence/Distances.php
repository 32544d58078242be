<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

use Periplus\Core\Similarity\EditDistance;

/**
 * The distances between all combinations that are to be ordered.
 *
 * @internal to {@see Sequencer}
 */
final class Distances
{
    /**
     * @var array<int, array<int, float>> between two places
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $rows = [];
    /** Greatest common divisor of all distances, in thousandths; 0 when all are 0. */
    private int $unit = 0;

    /** @param list<Stop> $stops */
    public function __construct(array $stops)
    {
        $likeness = EditDistance::builtIn();
        foreach ($stops as $one => $stop) {
            foreach ($stops as $other => $to) {
                $this->rows[$one][$other] =
                    $other < $one
                        ? $this->rows[$other][$one]
                        : ($one === $other
                            ? 0.0
                            : $likeness->distance($stop->sequence, $to->sequence));
                for ($whole = (int) round(1000 * $this->rows[$one][$other]); 0 !== $whole;) {
                    [$this->unit, $whole] = [$whole, $this->unit % $whole];
                }
            }
        }
    }

    /**
     * @param list<int> $order
     *
     * @return list<float>
     */
    public function steps(array $order): array
    {
        $steps = [];
        for ($index = 1; $index < \count($order); ++$index) {
            $steps[] = $this->rows[$order[$index - 1]][$order[$index]];
        }

        return $steps;
    }

    /** Rounds a bound up to the next multiple of the common divisor, because the cost of every order is one. */
    public function lifted(float $bound): float
    {
        return 0 === $this->unit ? $bound : ceil(1000 * $bound / $this->unit - 1e-6) * $this->unit / 1000;
    }
}
