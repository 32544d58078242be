<?php

declare(strict_types=1);

namespace Periplus\App\Course;

/** What a course teaches, week by week. */
final readonly class Syllabus
{
    /**
     * @param string|null $startsOn a day of the first week, such as 2026-12-07; null when it is not set
     * @param list<SyllabusWeek> $weeks in their order
     */
    public function __construct(public ?string $startsOn = null, public array $weeks = [])
    {
    }

    /**
     * @param array{
     *     startsOn?: string|null,
     *     weeks?: list<array{theme: string, note: string, combinations: list<int>}>,
     * } $stored the value as JSON has it
     */
    public static function of(array $stored): self
    {
        return new self(
            $stored['startsOn'] ?? null,
            array_map(
                static fn (array $week): SyllabusWeek => new SyllabusWeek(...$week),
                $stored['weeks'] ?? [],
            ),
        );
    }

    /**
     * Returns the place of the week that a day is in; null before the first, after the last and without a start.
     *
     * @param string $day such as 2026-12-10
     */
    public function weekOn(string $day): ?int
    {
        if (null === $this->startsOn) {
            return null;
        }
        $days = (int) self::monday($this->startsOn)->diff(new \DateTimeImmutable($day))->format('%r%a');
        $week = (int) floor($days / 7);

        return isset($this->weeks[$week]) ? $week : null;
    }

    /** Returns the Monday of a week, such as 2026-12-07; null without a start. */
    public function mondayOf(int $week): ?string
    {
        return null === $this->startsOn
            ? null
            : self::monday($this->startsOn)->modify("+$week weeks")->format('Y-m-d');
    }

    private static function monday(string $day): \DateTimeImmutable
    {
        return (new \DateTimeImmutable($day))->modify('monday this week');
    }
}
