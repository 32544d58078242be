<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** The sums of several sessions. */
final readonly class SessionSum
{
    /** @param array<string, float> $figures {@see \Periplus\Core\Session\Load\Load::figures} */
    public function __construct(public int $sessions = 0, public int $workMs = 0, public array $figures = [])
    {
    }

    /** @param iterable<self> $sums */
    public static function of(iterable $sums): self
    {
        [$sessions, $workMs, $figures] = [0, 0, []];
        foreach ($sums as $sum) {
            $sessions += $sum->sessions;
            $workMs += $sum->workMs;
            foreach ($sum->figures as $name => $value) {
                $figures[$name] = ($figures[$name] ?? 0.0) + $value;
            }
        }

        return new self($sessions, $workMs, array_map(static fn (float $value): float => round($value, 3), $figures));
    }
}
