<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Periplus\App\Store\Invalid;
use Periplus\App\Store\Refused;

use function Periplus\Core\Language\t;

/** A range of days, including both ends. */
final readonly class Period
{
    /** Maximum number of years back. */
    private const MAX_YEARS = 30;
    private const LATEST = '2101-01-01';

    private function __construct(public string $from, public string $to)
    {
    }

    /**
     * @param string|null $from twelve weeks before the last day when null
     * @param string|null $to today when null
     *
     * @throws Refused when one is no day
     */
    public static function of(?string $from, ?string $to, \DateTimeImmutable $today): self
    {
        $to = null === $to || '' === $to ? $today->format('Y-m-d') : self::day($to, 'to');
        $from =
            null === $from || '' === $from
                ? (new \DateTimeImmutable($to))->modify('monday this week')->modify('-11 weeks')->format('Y-m-d')
                : self::day($from, 'from');
        if ($from > $to) {
            throw self::wrong('from', t('The first day is after the last one. Swap them.'));
        }
        if ((int) substr($to, 0, 4) - (int) substr($from, 0, 4) > self::MAX_YEARS) {
            throw self::wrong('from', t('A report covers at most {maxYears} years.', maxYears: self::MAX_YEARS));
        }

        return new self($from, $to);
    }

    /** @throws Refused when it is no month such as 2026-11 */
    public static function month(string $month): self
    {
        $first = \DateTimeImmutable::createFromFormat('!Y-m-d', $month.'-01');
        if (false === $first || $first->format('Y-m') !== $month || !self::isNear($month)) {
            throw self::wrong('month', t('A month is written as 2026-11; the logbook reaches from 1990 to 2100.'));
        }

        return new self($first->format('Y-m-d'), $first->modify('last day of this month')->format('Y-m-d'));
    }

    /** @return list<string> the Mondays of all weeks in it, by time */
    public function weeks(): array
    {
        $weeks = [];
        for (
            $week = Weeks::mondayOf($this->from);
            $week <= $this->to;
            $week = (new \DateTimeImmutable($week))->modify('+7 days')->format('Y-m-d')
        ) {
            $weeks[] = $week;
        }

        return $weeks;
    }

    /** Tells whether a day or month is within the range of a gym's lifetime. */
    private static function isNear(string $day): bool
    {
        return $day >= LogEntry::EARLIEST_DAY && $day < self::LATEST;
    }

    private static function day(string $day, string $field): string
    {
        $date = \DateTimeImmutable::createFromFormat('!Y-m-d', $day);

        return false !== $date && $date->format('Y-m-d') === $day && self::isNear($day) ? $day : throw self::wrong(
            $field,
            t('A day is written as 2026-11-26; the logbook reaches from 1990 to 2100.'),
        );
    }

    private static function wrong(string $field, string $message): Refused
    {
        return Invalid::field($field, $message);
    }
}
