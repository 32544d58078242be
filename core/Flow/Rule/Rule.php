<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

/**
 * Something other than the links that a head coach looks for. Classes in the folder Flow/Rules are found
 * automatically.
 */
interface Rule
{
    public function definition(): RuleDefinition;

    /** @return iterable<RuleMatch> */
    public function matches(RuleContext $context): iterable;
}
