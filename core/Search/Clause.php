<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** A condition of a search. All of them have to hold; see {@see EitherClause} for alternatives. */
interface Clause
{
    /** Returns how it was understood, in plain words. */
    public function says(): string;

    /** Returns the text as typed. */
    public function text(): string;

    /**
     * @template T
     *
     * @param ClauseVisitor<T> $visitor
     *
     * @return T
     */
    public function accept(ClauseVisitor $visitor): mixed;
}
