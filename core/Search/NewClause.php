<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

/** Matches combinations that came into the library within a number of days. */
final readonly class NewClause implements Clause
{
    /** @param int $days up to today, which is the first of them */
    public function __construct(public int $days, private string $text)
    {
    }

    public function says(): string
    {
        return t('{days, plural, one {is new today} other {is new in the last # days}}', days: $this->days);
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->newSince($this);
    }
}
