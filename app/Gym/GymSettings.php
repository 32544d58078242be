<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\DBAL\Exception\ConnectionException;
use Psr\Clock\ClockInterface;

/** Says what the gym is called and which time it lives by, for everything that shows a name or a time. */
final readonly class GymSettings
{
    public function __construct(private Gyms $gyms, private ClockInterface $clock)
    {
    }

    /** Returns UTC while the database is away, so that what is in memory can still be shown. */
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

    /** By which calendars outside recognise this gym. */
    public function calendar(): string
    {
        return $this->gyms->get()->calendar();
    }

    /**
     * A time as it is typed in the gym, such as 2026-11-26T18:30.
     *
     * @return \DateTimeImmutable|null in UTC; null when there is no such time
     */
    public function moment(string $local): ?\DateTimeImmutable
    {
        $time = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $local, $this->timeZone());

        // An hour that the clocks leave out is moved on by PHP, and a 31 June, too.
        return false !== $time && $time->format('Y-m-d\TH:i') === $local
            ? $time->setTimezone(new \DateTimeZone('UTC'))
            : null;
    }

    /** Now, in the time of the gym. */
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
