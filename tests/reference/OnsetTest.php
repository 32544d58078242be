<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Measure\Onsets;
use Periplus\Core\Measure\Spectrum;
use Periplus\Core\Measure\Synthesis;
use Periplus\Core\Measure\Wave;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Hits in synthesised recordings, in which every moment is known, in three levels of noise. The method is that of Bello
 * and others (2005) and Dixon (2006), from memory; there is no recording of a real bag among the tests.
 */
final class OnsetTest extends TestCase
{
    /** Usually a hit counts as found within 50 ms; here within 10. */
    private const WITHIN = 10.0;

    #[TestWith([0.05, 1])]
    #[TestWith([0.05, 2])]
    #[TestWith([0.05, 3])]
    #[TestWith([0.15, 1])]
    #[TestWith([0.15, 2])]
    #[TestWith([0.15, 3])]
    #[TestWith([0.3, 1])]
    #[TestWith([0.3, 2])]
    #[TestWith([0.3, 3])]
    public function testEveryHitIsFoundWithinTenMillisecondsAndNothingElse(float $noise, int $seed): void
    {
        $hits = self::hits($seed);
        $found = (new Onsets())->find(Wave::read(Synthesis::bag($hits, $noise, $seed)->write()));
        $missed = array_values(
            array_filter(
                $hits,
                static fn (float $hit): bool => []
                    === array_filter($found, static fn (float $one): bool => abs($one - $hit) <= self::WITHIN),
            ),
        );
        $false = array_values(
            array_filter(
                $found,
                static fn (float $one): bool => []
                    === array_filter($hits, static fn (float $hit): bool => abs($one - $hit) <= self::WITHIN),
            ),
        );

        self::assertSame([[], []], [$missed, $false]);
    }

    #[TestWith([8000])]
    #[TestWith([16_000])]
    #[TestWith([44_100])]
    #[TestWith([48_000])]
    public function testTheMomentDoesNotDependOnTheRate(int $rate): void
    {
        $found = (new Onsets())->find(Synthesis::bag([500.0, 900.0, 1450.0], 0.1, 4, $rate));

        self::assertCount(3, $found);
        foreach ([500.0, 900.0, 1450.0] as $index => $hit) {
            self::assertEqualsWithDelta($hit, $found[$index], self::WITHIN);
        }
    }

    public function testNoiseAloneAndSilenceHoldNoHit(): void
    {
        $silence = new Wave(array_fill(0, 16_000, 0.0), 16_000);

        self::assertSame([], (new Onsets())->find($silence));
        self::assertSame([], (new Onsets())->find(new Wave([], 16_000)));
    }

    /**
     * The transform compared with its definition, the sum over all samples (Oppenheim and Schafer, Discrete-Time Signal
     * Processing; from memory).
     */
    public function testTheTransformIsTheSumThatDefinesIt(): void
    {
        $random = new Randomizer(new Mt19937(9));
        $samples = array_map(static fn (): float => $random->getInt(-1000, 1000) / 1000, range(1, 80));
        [$one, $other] = (new Spectrum(32))->ofTwo($samples, 0, 41);

        foreach ([[$one, 0], [$other, 41]] as [$strengths, $from]) {
            foreach ($strengths as $k => $strength) {
                $re = $im = 0.0;
                for ($n = 0; $n < 32; ++$n) {
                    $value = (0.5 - 0.5 * cos(2 * \M_PI * $n / 32)) * ($samples[$from + $n] ?? 0.0);
                    $re += $value * cos(2 * \M_PI * ($k + 1) * $n / 32);
                    $im -= $value * sin(2 * \M_PI * ($k + 1) * $n / 32);
                }
                self::assertEqualsWithDelta(hypot($re, $im), $strength, 1e-9);
            }
        }
    }

    /** RIFF WAVE, PCM of 16 bits: the header by the published layout (Microsoft and IBM 1991), written by hand here. */
    public function testAFileOfThePublishedLayoutIsRead(): void
    {
        $bytes =
            'RIFF'
            .pack('V', 44)
            .'WAVEfmt '
            .pack('VvvVVvv', 16, 1, 1, 8000, 16_000, 2, 16)
            .'LIST'
            .pack('V', 3)
            .'abc'
            ."\0"
            .'data'
            .pack('V', 6)
            .pack('v3', 0, 16_384, 49_152);
        $wave = Wave::read($bytes);

        self::assertSame([8000, [0.0, 0.5, -0.5]], [$wave->rate, $wave->samples]);
        self::assertSame(
            $wave->samples,
            array_map(
                static fn (float $sample): float => round($sample, 3),
                Wave::read((new Wave([0.0, 0.5, -0.5], 8000))->write())->samples,
            ),
        );
    }

    #[TestWith(['', 'This is not a WAV recording.'])]
    #[TestWith(['RIFF....WAVE', 'The recording holds no sound.'])]
    public function testAFileThatIsNoRecordingIsRefusedWithAReason(string $bytes, string $message): void
    {
        $this->expectExceptionMessage($message);
        Wave::read($bytes);
    }

    public function testAStereoRecordingIsRefused(): void
    {
        $this->expectExceptionMessage('The recording has to have one track of 16 bits a sample.');
        Wave::read('RIFF'.pack('V', 36).'WAVEfmt '.pack('VvvVVvv', 16, 1, 2, 8000, 32_000, 4, 16).'data'.pack('V', 0));
    }

    public function testMoreThanAMinuteIsRefused(): void
    {
        $this->expectExceptionMessage('The recording is longer than 60 seconds. Take a shorter part of it.');
        Wave::read((new Wave(array_fill(0, 4000 * 61, 0.0), 4000))->write());
    }

    /** @return list<float> eight repetitions of four strikes, none as regular as a machine */
    private static function hits(int $seed): array
    {
        $random = new Randomizer(new Mt19937(100 + $seed));
        $hits = [];
        for ($time = 0, $start = 400.0; $time < 8; ++$time, $start += 2200.0 + $random->getInt(0, 800)) {
            foreach ([0, 270, 640, 900] as $after) {
                $hits[] = $start + $after + $random->getInt(-25, 25);
            }
        }

        return $hits;
    }
}
