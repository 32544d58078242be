<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Synthesises the sound of a heavy bag with hits at known moments in noise, in place of a microphone. A hit is a low
 * thud that decays within a tenth of a second with the slap of leather on top; the noise is white, like that of a fan.
 * Used by tests and the demo.
 */
final readonly class Synthesis
{
    /**
     * @param list<float> $hits ms
     * @param float $noise strength of the noise, as a share of the loudest hit
     */
    public static function bag(array $hits, float $noise, int $seed = 1, int $rate = 16_000): Wave
    {
        $random = new Randomizer(new Mt19937($seed));
        $length = (int) ceil($rate * (([] === $hits ? 0.0 : max($hits)) + 500.0) / 1000);
        $samples = [];
        for ($index = 0; $index < $length; ++$index) {
            $samples[] = $noise * 0.6 * (self::between($random, -1.0, 1.0) + self::between($random, -1.0, 1.0)) / 2;
        }
        foreach ($hits as $ms) {
            $start = (int) round($rate * $ms / 1000);
            $loud = self::between($random, 0.45, 0.75);
            $thud = self::between($random, 70.0, 120.0);
            for ($index = 0; $index < (int) (0.18 * $rate) && $start + $index < $length; ++$index) {
                $time = $index / $rate;
                $samples[$start + $index] += $loud * (
                    0.7 * exp(-$time / 0.045) * sin(2 * \M_PI * $thud * $time)
                    + 0.5 * exp(-$time / 0.008) * self::between($random, -1.0, 1.0)
                );
            }
        }

        return new Wave(array_values($samples), $rate);
    }

    private static function between(Randomizer $random, float $least, float $most): float
    {
        return $least + ($most - $least) * $random->getInt(0, 1 << 24) / (1 << 24);
    }
}
