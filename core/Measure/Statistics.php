<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/** Medians, which a single outlier does not move. */
final readonly class Statistics
{
    /** @param list<float> $values */
    public static function median(array $values): float
    {
        $count = \count($values);
        if (0 === $count) {
            return 0.0;
        }
        sort($values);
        $half = intdiv($count, 2);

        return 1 === $count % 2 ? $values[$half] : 0.5 * ($values[$half - 1] + $values[$half]);
    }

    /**
     * Returns the spread as a standard deviation: 1.4826 times the median distance to the median, for normally
     * distributed values (Hampel 1974).
     *
     * @param list<float> $values
     */
    public static function spread(array $values): float
    {
        $median = self::median($values);

        return 1.4826 * self::median(array_map(static fn (float $value): float => abs($value - $median), $values));
    }
}
