<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

/** Which part of the logbook a report is about. */
final readonly class LogFilter
{
    /** @param int|null $course null for all */
    public function __construct(public Period $period, public ?int $course)
    {
    }

    /** Returns the condition on the rows of an entry that count. */
    public function sql(): string
    {
        return (null === $this->course ? '' : 'course_id = ? AND ').'counts = 1 AND day BETWEEN ? AND ?';
    }

    /** @return list<int|string> for the placeholders of {@see sql} */
    public function values(): array
    {
        return [
            ...(null === $this->course ? [] : [$this->course]),
            $this->period->from,
            $this->period->to,
        ];
    }
}
