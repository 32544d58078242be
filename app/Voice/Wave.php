<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

/** A mono WAV file with 16 bits (RIFF/WAVE, PCM: format tag 1). */
final readonly class Wave
{
    /** Amplitude below which it counts as silence, of 32767. */
    private const SILENCE_AMPLITUDE = 500;
    /** Time kept after the last sound, in ms. */
    private const TAIL_MS = 30;

    /** @param list<int> $samples */
    public function __construct(public int $rate, public array $samples)
    {
    }

    /**
     * Parses a WAV file, also one of unknown length that comes from a pipe.
     *
     * @throws \UnexpectedValueException when it is none, or of another kind; the message says so to a coach
     */
    public static function of(string $file): self
    {
        if (!str_starts_with($file, 'RIFF') || 'WAVE' !== substr($file, 8, 4)) {
            throw new \UnexpectedValueException('This is no WAV file.');
        }
        $rate = 0;
        for ($offset = 12; $offset + 8 <= \strlen($file); $offset += 8 + $length + ($length & 1)) {
            $name = substr($file, $offset, 4);
            $length = self::number('V', $file, $offset + 4);
            if ('fmt ' === $name && $offset + 24 <= \strlen($file)) {
                if (
                    1 !== self::number('v', $file, $offset + 8)
                    || 1 !== self::number('v', $file, $offset + 10)
                    || 16 !== self::number('v', $file, $offset + 22)
                ) {
                    throw new \UnexpectedValueException('A clip is a WAV file of 16 bits and one channel.');
                }
                $rate = self::number('V', $file, $offset + 12);
            }
            if ('data' === $name && $rate > 0) {
                $data = substr($file, $offset + 8, $length);
                $unsigned = unpack('v*', substr($data, 0, 2 * intdiv(\strlen($data), 2)));
                /** @var list<int> $unsigned */
                $unsigned = false === $unsigned ? [] : array_values($unsigned);

                return new self(
                    $rate,
                    array_map(static fn (int $sample): int => $sample > 32767 ? $sample - 65536 : $sample, $unsigned),
                );
            }
        }
        throw new \UnexpectedValueException('This WAV file holds no sound.');
    }

    /** Returns the sound without silence at its ends, so that it is heard at the right moment. */
    public function trimmed(): self
    {
        $loud = array_keys(
            array_filter($this->samples, static fn (int $sample): bool => abs($sample) > self::SILENCE_AMPLITUDE),
        );
        if ([] === $loud) {
            return $this;
        }
        $last = $loud[\count($loud) - 1] + intdiv($this->rate * self::TAIL_MS, 1000);

        return new self($this->rate, \array_slice($this->samples, $loud[0], $last - $loud[0] + 1));
    }

    public function withPeak(int $peak): self
    {
        $highest = max(1, ...array_map(abs(...), [0, ...$this->samples]));

        return new self(
            $this->rate,
            array_map(static fn (int $sample): int => (int) round(($sample * $peak) / $highest), $this->samples),
        );
    }

    public function ms(): int
    {
        return intdiv(1000 * \count($this->samples), $this->rate);
    }

    public function bytes(): string
    {
        $data = pack('v*', ...array_map(static fn (int $sample): int => $sample & 0xFFFF, $this->samples));

        return 'RIFF'
            .pack('V', 36 + \strlen($data))
            .'WAVEfmt '
            .pack('VvvVVvv', 16, 1, 1, $this->rate, 2 * $this->rate, 2, 16)
            .'data'
            .pack('V', \strlen($data))
            .$data;
    }

    private static function number(string $format, string $file, int $offset): int
    {
        $number = unpack($format, $file, $offset);

        return \is_array($number) && \is_int($number[1]) ? $number[1] : 0;
    }
}
