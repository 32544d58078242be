<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/**
 * An index of the combinations in use. It is updated in the transaction that stores them; archived ones are removed.
 */
#[AutoconfigureTag]
interface CombinationIndex
{
    /** Removes all combinations from one id to another. */
    public function remove(int $first, int $last): void;

    /** @param list<IndexedCombination> $combinations none of which is in it yet */
    public function add(array $combinations): void;
}
