<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

/** Clauses of which one has to hold. */
final readonly class EitherClause implements Clause
{
    /** @param non-empty-list<Clause> $clauses */
    public function __construct(public array $clauses)
    {
    }

    public function says(): string
    {
        return implode(t(', or '), array_map(static fn (Clause $clause): string => $clause->says(), $this->clauses));
    }

    public function text(): string
    {
        return implode(' or ', array_map(static fn (Clause $clause): string => $clause->text(), $this->clauses));
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->either($this);
    }
}
