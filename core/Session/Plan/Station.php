<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use function Periplus\Core\Language\t;

/** Where a set stands in its round: which one it is, and in which lap. */
final readonly class Station
{
    /** @param int $number counted from 0; $lap as well */
    public function __construct(
        public int $number = 0,
        public int $stations = 1,
        public int $lap = 0,
        public int $laps = 1,
    ) {
    }

    /** Returns it in words, such as "lap 2 of 3, set 4 of 5"; empty where there is one set. */
    public function inWords(): string
    {
        $lap = $this->laps > 1 ? t('lap {lap} of {laps}', lap: $this->lap + 1, laps: $this->laps) : '';
        $set = $this->stations > 1
            ? t('set {number} of {stations}', number: $this->number + 1, stations: $this->stations)
            : '';

        return implode(', ', array_filter([$lap, $set], static fn (string $part): bool => '' !== $part));
    }
}
