<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

/**
 * An operation on clauses, with one method for each kind; a storage compiles its conditions with one.
 *
 * @template-covariant T
 */
interface ClauseVisitor
{
    /** @return T */
    public function either(EitherClause $clause): mixed;

    /** @return T */
    public function items(ItemsClause $clause): mixed;

    /** @return T */
    public function length(LengthClause $clause): mixed;

    /** @return T */
    public function contact(ContactClause $clause): mixed;

    /** @return T */
    public function words(WordsClause $clause): mixed;

    /** @return T */
    public function field(FieldClause $clause): mixed;

    /** @return T */
    public function drilled(DrilledClause $clause): mixed;

    /** @return T */
    public function duration(DurationClause $clause): mixed;

    /** @return T */
    public function newSince(NewClause $clause): mixed;
}
