<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Combination\SqlCondition;

/** A way to find combinations by the index of terms. */
final readonly class Alternative
{
    /**
     * @param list<SqlCondition> $terms each of which a term of the combination has to meet
     * @param SqlCondition|null $row what the terms cannot decide, on the row c
     */
    public function __construct(public array $terms, public ?SqlCondition $row = null)
    {
    }
}
