<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * Something that combinations in use are found by. It is written in the transaction that stores them; what is archived
 * is not in it.
 */
#[AutoconfigureTag]
interface CombinationIndex
{
    /** Leaves out all combinations from one id to another. */
    public function remove(int $first, int $last): void;

    /** @param list<IndexedCombination> $combinations none of which is in it yet */
    public function add(array $combinations): void;
}
