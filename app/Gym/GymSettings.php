<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\ConnectionException;
use Psr\Clock\ClockInterface;

/** The gym itself: its name, and the time zone in which all its times are meant. */
final class GymSettings
{
    private ?\DateTimeZone $timeZone = null;

    public function __construct(private readonly Connection $connection, private readonly ClockInterface $clock)
    {
    }

    public function timeZone(): \DateTimeZone
    {
        return $this->timeZone ??= $this->read();
    }

    public function name(): string
    {
        return $this->text('name');
    }

    /** What calendars outside tell this gym by. */
    public function calendar(): string
    {
        return $this->text('calendar');
    }

    public function useTimeZone(string $zone): void
    {
        $this->connection->update('gym', ['time_zone' => $zone], ['id' => 1]);
        $this->timeZone = null;
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
        return false !== $time && $time->format('Y-m-d\TH:i') === $local ? $time->setTimezone(new \DateTimeZone('UTC')) : null;
    }

    /** Now, in the time of the gym. */
    public function today(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone($this->timeZone());
    }

    /** @param string|null $stored in UTC, as the database has it */
    public function local(?string $stored): ?string
    {
        return null === $stored ? null : (new \DateTimeImmutable($stored, new \DateTimeZone('UTC')))->setTimezone($this->timeZone())->format('Y-m-d\TH:i');
    }

    private function read(): \DateTimeZone
    {
        try {
            return new \DateTimeZone($this->text('time_zone'));
        } catch (ConnectionException) {
            return new \DateTimeZone('UTC');
        }
    }

    private function text(string $column): string
    {
        $value = $this->connection->fetchOne("SELECT $column FROM gym WHERE id = 1");

        return \is_string($value) ? $value : '';
    }
}
