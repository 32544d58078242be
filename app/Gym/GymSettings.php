<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\DBAL\Exception\ConnectionException;
use Psr\Clock\ClockInterface;

/** Provides the gym's name and time zone. */
final readonly class GymSettings
{
    public function __construct(private Gyms $gyms, private ClockInterface $clock)
    {
    }

    /** Returns UTC while the database is down, so that cached data can still be shown. */
    public function timeZone(): \DateTimeZone
    {
        try {
            return $this->gyms->get()->timeZone();
        } catch (ConnectionException) {
            return new \DateTimeZone('UTC');
        }
    }

    public function name(): string
    {
        return $this->gyms->get()->name();
    }

    /** Returns the identifier of this gym in external calendars. */
    public function calendar(): string
    {
        return $this->gyms->get()->calendar();
    }

    /**
     * Parses a local time, such as 2026-11-26T18:30.
     *
     * @return \DateTimeImmutable|null in UTC; null when there is no such time
     */
    public function moment(string $local): ?\DateTimeImmutable
    {
        $time = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $local, $this->timeZone());

        // PHP moves an hour that daylight saving skips, or 31 June, to a later time.
        return false !== $time && $time->format('Y-m-d\TH:i') === $local
            ? $time->setTimezone(new \DateTimeZone('UTC'))
            : null;
    }

    /** Returns the current local time. */
    public function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->timeZone());
    }

    /** @param string|null $stored in UTC, as the database has it */
    public function local(?string $stored): ?string
    {
        return null === $stored
            ? null
            : (new \DateTimeImmutable($stored, new \DateTimeZone('UTC')))
                ->setTimezone($this->timeZone())
                ->format('Y-m-d\TH:i');
    }
}
