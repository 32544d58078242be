<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

use function Periplus\Core\Language\t;

/**
 * A recording: one track of samples from -1 to 1. Read from RIFF WAVE, PCM of 16 bits (Microsoft and IBM, Multimedia
 * Programming Interface 1.0, 1991).
 */
final readonly class Wave
{
    /** Maximum length of a recording, in s. */
    public const MAX_SECONDS = 60;
    private const RATES = [4000, 48_000];
    /** A sample of 16 bits is a whole number of this part of the greatest. */
    private const FULL = 32_768;
    /** What is quieter counts as silence at the ends. */
    private const SILENCE = 500 / self::FULL;
    /** Time kept after the last sound, in ms. */
    private const TAIL_MS = 30;

    /** @param list<float> $samples */
    public function __construct(public array $samples, public int $rate)
    {
    }

    /** @throws \DomainException when it cannot be read; the message is shown to the coach */
    public static function read(string $bytes): self
    {
        if (\strlen($bytes) < 12 || !str_starts_with($bytes, 'RIFF') || 'WAVE' !== substr($bytes, 8, 4)) {
            throw new \DomainException(t('This is not a WAV recording.'));
        }
        $offset = 12;
        $rate = $channels = 0;
        while ($offset + 8 <= \strlen($bytes)) {
            $kind = substr($bytes, $offset, 4);
            $length = self::number('V', substr($bytes, $offset + 4, 4));
            if ('fmt ' === $kind && $length >= 16) {
                $format = self::number('v', substr($bytes, $offset + 8, 2));
                $channels = self::number('v', substr($bytes, $offset + 10, 2));
                $rate = self::number('V', substr($bytes, $offset + 12, 4));
                $bits = self::number('v', substr($bytes, $offset + 22, 2));
                if (1 !== $format || 16 !== $bits || 1 !== $channels) {
                    throw new \DomainException(t('The recording has to have one track of 16 bits a sample.'));
                }
                if ($rate < self::RATES[0] || $rate > self::RATES[1]) {
                    throw new \DomainException(t('The recording has to have 4,000 to 48,000 samples a second.'));
                }
            }
            if ('data' === $kind) {
                break;
            }
            $offset += 8 + $length + $length % 2;
        }
        if (0 === $rate || $offset + 8 > \strlen($bytes)) {
            throw new \DomainException(t('The recording holds no sound.'));
        }
        $data = substr(
            $bytes,
            $offset + 8,
            min(self::number('V', substr($bytes, $offset + 4, 4)), \strlen($bytes) - $offset - 8) & ~1,
        );
        if (\strlen($data) / 2 > self::MAX_SECONDS * $rate) {
            throw new \DomainException(
                t(
                    'The recording is longer than {maxSeconds} seconds. Take a shorter part of it.',
                    maxSeconds: self::MAX_SECONDS,
                ),
            );
        }
        /** @var array<int, int>|false $words */
        $words = '' === $data ? [] : unpack('v*', $data);

        return new self(
            array_map(
                static fn (int $word): float => ($word >= self::FULL ? $word - 2 * self::FULL : $word) / self::FULL,
                array_values(false === $words ? [] : $words),
            ),
            $rate,
        );
    }

    /** Returns a WAV file from which the same samples are read, to 16 bits. */
    public function write(): string
    {
        $data = '';
        foreach (array_chunk($this->samples, 8192) as $part) {
            $data .= pack(
                'v*',
                ...array_map(
                    static fn (float $sample): int => min(
                        self::FULL - 1,
                        (int) round(self::FULL * max(-1.0, $sample)),
                    ) & 0xFFFF,
                    $part,
                ),
            );
        }

        return 'RIFF'
            .pack('V', 36 + \strlen($data))
            .'WAVEfmt '
            .pack('VvvVVvv', 16, 1, 1, $this->rate, 2 * $this->rate, 2, 16)
            .'data'
            .pack('V', \strlen($data))
            .$data;
    }

    /** Returns the length in ms. */
    public function length(): float
    {
        return 1000 * \count($this->samples) / $this->rate;
    }

    /** Returns the sound without silence at its ends, so that it is heard at the right moment. */
    public function trimmed(): self
    {
        $loud = array_keys(
            array_filter($this->samples, static fn (float $sample): bool => abs($sample) > self::SILENCE),
        );
        if ([] === $loud) {
            return $this;
        }
        $last = $loud[\count($loud) - 1] + intdiv($this->rate * self::TAIL_MS, 1000);

        return new self(\array_slice($this->samples, $loud[0], $last - $loud[0] + 1), $this->rate);
    }

    /** Returns it louder or quieter, so that its loudest sample is that loud. */
    public function withPeak(float $peak): self
    {
        $highest = max(1 / self::FULL, ...array_map(abs(...), $this->samples));

        return new self(
            array_map(static fn (float $sample): float => $sample * $peak / $highest, $this->samples),
            $this->rate,
        );
    }

    /** Returns the recording with fewer samples per second, each the mean of several. */
    public function atMost(int $rate): self
    {
        $few = (int) floor($this->rate / $rate);
        if ($few < 2) {
            return $this;
        }
        $samples = [];
        for ($offset = 0; $offset + $few <= \count($this->samples); $offset += $few) {
            $sum = 0.0;
            for ($of = $offset; $of < $offset + $few; ++$of) {
                $sum += $this->samples[$of];
            }
            $samples[] = $sum / $few;
        }

        return new self($samples, intdiv($this->rate, $few));
    }

    /**
     * Returns the loudest sample of each section, for drawing.
     *
     * @return list<float> 0..1
     */
    public function peaks(int $count): array
    {
        $few = max(1, (int) ceil(\count($this->samples) / max(1, $count)));

        return array_map(
            static fn (array $part): float => round(max(0.0, max(array_map(abs(...), $part))), 3),
            array_chunk($this->samples, $few),
        );
    }

    private static function number(string $format, string $bytes): int
    {
        /** @var array{1: int}|false $found */
        $found = @unpack($format, $bytes);

        return false === $found ? 0 : $found[1];
    }
}
