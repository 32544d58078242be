<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/** One condition of a search; all of them have to hold, or one of some, see {@see EitherClause}. */
interface Clause
{
    /** How it was understood, in plain words. */
    public function says(): string;

    /** As it was typed. */
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
