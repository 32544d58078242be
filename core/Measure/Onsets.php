<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/**
 * Finds the moments of hits in a recording. Frames in which many frequencies get stronger at once (spectral flux,
 * half-wave rectified, of logarithmic strengths) by more than a threshold above the surrounding median are onsets; the
 * exact moment comes from the energy of the samples. After Bello and others, "A Tutorial on Onset Detection in Music
 * Signals" (IEEE Transactions on Speech and Audio Processing 13, 2005) and Dixon, "Onset Detection Revisited" (DAFx
 * 2006); from memory. The numbers were chosen on synthesised bags and are house values.
 */
final readonly class Onsets
{
    /** Samples per second; enough for bags and pads. */
    private const SAMPLE_RATE = 8000;
    private const FRAME = 128;
    /** Distance between frames in samples: 5 ms. */
    private const HOP_SAMPLES = 40;
    /** Frames to either side from which the threshold is computed and among which a peak is the highest. */
    private const MEDIAN_FRAMES = 20;
    private const PEAK_FRAMES = 6;
    /**
     * Required height of a peak above the surrounding median: a share of the strongest peak, and a multiple of the
     * median.
     */
    private const MIN_PEAK_SHARE = 0.2;
    private const MIN_MEDIAN_RATIO = 1.6;
    /** Multiple of the noise that a frequency must reach to count much. */
    private const NOISE_RATIO = 8.0;
    /** Hits closer than this count as one, in ms. */
    private const MIN_DISTANCE_MS = 60.0;

    /** @return list<float> ms from the start of the recording */
    public function find(Wave $wave): array
    {
        $wave = $wave->atMost(self::SAMPLE_RATE);
        $flux = $this->flux($wave);
        if ([] === $flux || max($flux) <= 0.0) {
            return [];
        }
        $strongest = $this->strongest($flux);
        $onsets = [];
        foreach ($flux as $index => $value) {
            $from = max(0, $index - self::PEAK_FRAMES);
            if ($value < max(0.0, ...\array_slice($flux, $from, $index - $from + self::PEAK_FRAMES + 1))) {
                continue;
            }
            $from = max(0, $index - self::MEDIAN_FRAMES);
            $median = Statistics::median(\array_slice($flux, $from, $index - $from + self::MEDIAN_FRAMES + 1));
            if ($value < self::MIN_MEDIAN_RATIO * $median + self::MIN_PEAK_SHARE * $strongest) {
                continue;
            }
            $moment = $this->moment($wave, $index * self::HOP_SAMPLES);
            if ([] === $onsets || $moment - $onsets[\count($onsets) - 1] >= self::MIN_DISTANCE_MS) {
                $onsets[] = $moment;
            }
        }

        return $onsets;
    }

    /** @return list<float> how much the strengths rise, frame by frame */
    private function flux(Wave $wave): array
    {
        $spectrum = new Spectrum(self::FRAME);
        $count = intdiv(max(0, \count($wave->samples) - self::FRAME), self::HOP_SAMPLES) + 1;
        $frames = [];
        for ($frame = 0; $frame < $count; $frame += 2) {
            array_push(
                $frames,
                ...$spectrum->ofTwo($wave->samples, $frame * self::HOP_SAMPLES, ($frame + 1) * self::HOP_SAMPLES),
            );
        }
        // The background noise of the room; a rise counts by how far it exceeds it.
        $floor =
            self::NOISE_RATIO
            * max(
                Statistics::median(
                    array_map(
                        static fn (array $strengths): float => array_sum($strengths) / \count($strengths),
                        $frames,
                    ),
                ),
                1e-4,
            );
        $flux = [];
        $before = null;
        foreach ($frames as $strengths) {
            $levels = [];
            $rise = 0.0;
            foreach ($strengths as $k => $strength) {
                $levels[$k] = log(1.0 + $strength / $floor);
                if (null !== $before && $levels[$k] > $before[$k]) {
                    $rise += $levels[$k] - $before[$k];
                }
            }
            // The start of a recording is no hit.
            $flux[] = null === $before ? 0.0 : $rise;
            $before = $levels;
        }

        return \array_slice($flux, 0, $count);
    }

    /**
     * Returns the usual strength of a hit: the median of all peaks of at least half of the strongest, so that one click
     * counts little.
     *
     * @param non-empty-list<float> $flux
     */
    private function strongest(array $flux): float
    {
        $high = 0.5 * max($flux);
        $strong = array_values(array_filter($flux, static fn (float $value): bool => $value >= $high));
        sort($strong);

        return $strong[intdiv(\count($strong), 2)] ?? 0.0;
    }

    /** Returns the moment within the frame at which the energy rises most, in ms. */
    private function moment(Wave $wave, int $frame): float
    {
        $short = (int) round(0.008 * $wave->rate);
        $best = -1.0;
        $moment = $frame;
        $before = $after = 0.0;
        $from = max($short, $frame - intdiv(self::FRAME, 4));
        $to = min(\count($wave->samples) - $short, $frame + self::FRAME + intdiv(self::FRAME, 4));
        for ($index = $from - $short; $index < $from; ++$index) {
            $before += ($wave->samples[$index] ?? 0.0) ** 2;
            $after += ($wave->samples[$index + $short] ?? 0.0) ** 2;
        }
        for ($index = $from; $index < $to; ++$index) {
            $rise = $after - $before;
            if ($rise > $best) {
                [$best, $moment] = [$rise, $index];
            }
            $before += $wave->samples[$index] ** 2 - $wave->samples[$index - $short] ** 2;
            $after += ($wave->samples[$index + $short] ?? 0.0) ** 2 - $wave->samples[$index] ** 2;
        }

        return round(1000 * $moment / $wave->rate, 1);
    }
}
