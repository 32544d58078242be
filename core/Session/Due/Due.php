<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Due;

/** The day on which a combination is due again. Days are written like 2026-11-26. */
final readonly class Due
{
    /**
     * @param int $times on how many days it was drilled
     * @param int $interval days between the last time and the next
     * @param bool $held whether it held the last time
     */
    public function __construct(
        public string $last,
        public int $times,
        public int $interval,
        public string $day,
        public bool $held,
    ) {
    }

    /** Returns the number of days it is overdue; negative before the day. */
    public function overdue(string $today): int
    {
        return (int) (new \DateTimeImmutable($this->day))->diff(new \DateTimeImmutable($today))->format('%r%a');
    }
}
