<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Gym\GymSettings;
use Periplus\Core\Session\Plan\Duration;
use Sabre\VObject\Component\VCalendar;

use function Periplus\Core\Language\t;

/** Writes planned sessions as iCalendar (RFC 5545). Each keeps its id, so that calendars update it. */
final readonly class Calendar
{
    public function __construct(private GymSettings $gym)
    {
    }

    /** @param list<PlanRow> $plans with a start; those that are archived are cancelled */
    public function write(array $plans, string $name): string
    {
        $calendar = new VCalendar([
            'PRODID' => '-//Periplus//Sessions//EN',
            'X-WR-CALNAME' => $name,
            'X-WR-TIMEZONE' => $this->gym->timeZone()->getName(),
            'METHOD' => 'PUBLISH',
        ]);
        $id = $this->gym->calendar();
        foreach ($plans as $plan) {
            $start = $plan->startsAt;
            if (null === $start) {
                continue;
            }
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "plan-{$plan->id}@{$id}",
                'SEQUENCE' => $plan->version,
                'DTSTAMP' => $plan->updatedAt->setTimezone(new \DateTimeZone('UTC')),
                'LAST-MODIFIED' => $plan->updatedAt->setTimezone(new \DateTimeZone('UTC')),
                'DTSTART' => $start,
                'DTEND' => $start->modify('+'.max(60, intdiv($plan->lengthMs, 1000)).' seconds'),
                'SUMMARY' => $plan->name,
                'DESCRIPTION' => implode(' · ', array_filter([
                    $plan->courseName ?? '',
                    Duration::inWords(intdiv($plan->lengthMs, 1000)),
                ], static fn (string $part): bool => '' !== $part)),
                'STATUS' => null !== $plan->archivedAt ? 'CANCELLED' : 'CONFIRMED',
                'CATEGORIES' => $plan->courseName ?? t('Session'),
            ]);
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
