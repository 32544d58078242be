<?php

declare(strict_types=1);

namespace Periplus\Core\Drawing;

/**
 * A smooth curve through points, as cubic Bézier pieces. Scaling x does not change the form, so x may be in
 * milliseconds. It serialises as its pieces.
 *
 * @phpstan-type Point array{float, float}
 */
final readonly class Curve implements \JsonSerializable
{
    /**
     * @param list<list<float>> $pieces the first is the start; each other one holds the two control points and the end
     *                                  of a piece
     */
    private function __construct(public array $pieces)
    {
    }

    /** @return list<list<float>> */
    public function jsonSerialize(): array
    {
        return $this->pieces;
    }

    /**
     * Returns a curve that is monotone between its points, so that it does not overshoot the computed weight
     * (M. Steffen, "A simple method for monotonic interpolation in one dimension", Astronomy and Astrophysics 239,
     * 1990).
     *
     * @param list<Point> $points in rising order of x, no x twice
     */
    public static function monotone(array $points): self
    {
        $last = \count($points) - 1;
        if ($last < 1) {
            return new self($points);
        }
        $slopes = [];
        for ($index = 1; $index < $last; ++$index) {
            [$before, $here, $after] = [$points[$index - 1], $points[$index], $points[$index + 1]];
            [$h0, $h1] = [$here[0] - $before[0], $after[0] - $here[0]];
            [$s0, $s1] = [($here[1] - $before[1]) / $h0, ($after[1] - $here[1]) / $h1];
            $mean = ($s0 * $h1 + $s1 * $h0) / ($h0 + $h1);
            $slopes[$index] = (($s0 < 0 ? -1 : 1) + ($s1 < 0 ? -1 : 1)) * min(abs($s0), abs($s1), 0.5 * abs($mean));
        }
        $straight = ($points[1][1] - $points[0][1]) / ($points[1][0] - $points[0][0]);
        $slopes[0] = 1 === $last ? $straight : self::slopeAtEnd($points[0], $points[1], $slopes[1]);
        $slopes[$last] =
            1 === $last ? $straight : self::slopeAtEnd($points[$last - 1], $points[$last], $slopes[$last - 1]);
        $pieces = [$points[0]];
        for ($index = 1; $index <= $last; ++$index) {
            [[$x0, $y0], [$x1, $y1]] = [$points[$index - 1], $points[$index]];
            $third = ($x1 - $x0) / 3;
            $pieces[] = [
                $x0 + $third,
                $y0 + $third * $slopes[$index - 1],
                $x1 - $third,
                $y1 - $third * $slopes[$index],
                $x1,
                $y1,
            ];
        }

        return new self($pieces);
    }

    /**
     * Returns a curve that is level at every point.
     *
     * @param list<Point> $points
     */
    public static function level(array $points): self
    {
        $pieces = \array_slice($points, 0, 1);
        for ($index = 1; $index < \count($points); ++$index) {
            [[$x0, $y0], [$x1, $y1]] = [$points[$index - 1], $points[$index]];
            $middle = ($x0 + $x1) / 2;
            $pieces[] = [$middle, $y0, $middle, $y1, $x1, $y1];
        }

        return new self($pieces);
    }

    /**
     * @param Point $one
     * @param Point $other
     * @param float $slope at the other one of the two
     */
    private static function slopeAtEnd(array $one, array $other, float $slope): float
    {
        return (3 * ($other[1] - $one[1]) / ($other[0] - $one[0]) - $slope) / 2;
    }
}
