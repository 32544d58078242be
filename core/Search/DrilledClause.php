<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

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
            null === $this->days => $this->wanted ? t('was drilled') : t('was never drilled'),
            $this->wanted => t(
                '{days, plural, one {was drilled in the last day} other {was drilled in the last # days}}',
                days: $this->days,
            ),
            default => t(
                '{days, plural, one {was not drilled in the last day} other {was not drilled in the last # days}}',
                days: $this->days,
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
