<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Due;

use Periplus\Core\HouseRules\HouseRules;

/**
 * Computes when a combination is due again, by an expanding schedule: twice the interval after it held, half of it
 * after it fell apart, within bounds. That practice at growing intervals is remembered longer is a finding of research
 * on learning (from memory: Landauer and Bjork, 1978); the numbers are house values.
 */
final readonly class Schedule
{
    /**
     * @param int $first days from the first time to the second
     * @param int $least days at the least
     * @param int $most days at the most
     */
    public function __construct(public int $first = 7, public int $least = 3, public int $most = 56)
    {
    }

    public static function of(HouseRules $rules): self
    {
        $values = [];
        foreach (DueBounds::definitions() as $id => $bound) {
            $values[$id] = (int) ($rules->threshold($id) ?? $bound->threshold->default);
        }

        return new self(
            $values['due-first'],
            min($values['due-least'], $values['due-most']),
            max($values['due-least'], $values['due-most']),
        );
    }

    /**
     * @param non-empty-list<array{string, bool}> $times day such as 2026-11-26, and whether it held, the earliest first
     */
    public function after(array $times): Due
    {
        $interval = 0;
        foreach ($times as [, $held]) {
            $next = match (true) {
                0 === $interval => $this->first,
                $held => 2 * $interval,
                default => intdiv($interval, 2),
            };
            $interval = max($this->least, min($this->most, $next));
        }
        $last = $times[\count($times) - 1][0];

        return new Due(
            $last,
            \count($times),
            $interval,
            (new \DateTimeImmutable($last))->modify("+$interval days")->format('Y-m-d'),
            $times[\count($times) - 1][1],
        );
    }
}
