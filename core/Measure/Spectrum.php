<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/**
 * Computes the strengths of frequencies in short frames by a fast Fourier transform (Cooley and Tukey 1965), two real
 * frames at a time as the real and the imaginary part.
 */
final class Spectrum
{
    /** @var list<float> */
    private array $cosine = [];
    /** @var list<float> */
    private array $sine = [];
    /** @var array<int, int> */
    private array $reversed = [0];
    /** @var list<float> Hann's window */
    private array $window = [];

    /** @param int $size of a frame, a power of two */
    public function __construct(public readonly int $size)
    {
        for ($index = 0; $index < $size; ++$index) {
            $this->window[] = 0.5 - 0.5 * cos(2 * \M_PI * $index / $size);
            $this->cosine[] = cos(-2 * \M_PI * $index / $size);
            $this->sine[] = sin(-2 * \M_PI * $index / $size);
            $this->reversed[$index] = ($this->reversed[$index >> 1] >> 1) | (1 === ($index & 1) ? $size >> 1 : 0);
        }
    }

    /**
     * @param list<float> $samples
     *
     * @return array{
     *     list<float>,
     *     list<float>,
     * } the strengths of all frequencies above zero, of the frame at each of the two places
     */
    public function ofTwo(array $samples, int $first, int $second): array
    {
        $size = $this->size;
        $real = $imaginary = [];
        foreach ($this->reversed as $from) {
            $real[] = $this->window[$from] * ($samples[$first + $from] ?? 0.0);
            $imaginary[] = $this->window[$from] * ($samples[$second + $from] ?? 0.0);
        }
        for ($half = 1; $half < $size; $half *= 2) {
            $step = intdiv($size, 2 * $half);
            for ($start = 0; $start < $size; $start += 2 * $half) {
                for ($k = 0, $turn = 0; $k < $half; ++$k, $turn += $step) {
                    $a = $start + $k;
                    $b = $a + $half;
                    $c = $this->cosine[$turn];
                    $s = $this->sine[$turn];
                    $re = $c * $real[$b] - $s * $imaginary[$b];
                    $im = $c * $imaginary[$b] + $s * $real[$b];
                    $real[$b] = $real[$a] - $re;
                    $imaginary[$b] = $imaginary[$a] - $im;
                    $real[$a] += $re;
                    $imaginary[$a] += $im;
                }
            }
        }
        $one = $other = [];
        for ($k = 1; $k <= $size >> 1; ++$k) {
            $m = ($size - $k) % $size;
            $one[] = 0.5 * hypot($real[$k] + $real[$m], $imaginary[$k] - $imaginary[$m]);
            $other[] = 0.5 * hypot($imaginary[$k] + $imaginary[$m], $real[$k] - $real[$m]);
        }

        return [$one, $other];
    }
}
