<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** Whether a combination was drilled according to the logbook, ever or within a number of days. */
final readonly class DrilledClause implements Clause
{
    /** @param int|null $days up to today; ever when null */
    public function __construct(public bool $wanted, public ?int $days, private string $text)
    {
    }

    public function says(): string
    {
        return match (true) {
            null === $this->days => $this->wanted ? 'was drilled' : 'was never drilled',
            default => \sprintf(
                $this->wanted ? 'was drilled in the last %d %s' : 'was not drilled in the last %d %s',
                $this->days,
                1 === $this->days ? 'day' : 'days',
            ),
        };
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->drilled($this);
    }
}
