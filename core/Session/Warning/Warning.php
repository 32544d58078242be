<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warning;

use Periplus\Core\Session\Plan\WrittenPlan;

/**
 * Something about a whole session that a head coach looks at. Classes in the folder Session/Warnings are found
 * automatically.
 */
interface Warning
{
    public function definition(): WarningDefinition;

    /** @return iterable<string> where it holds, in one sentence each; what holds for both stances is returned once */
    public function matches(WarningContext $context): iterable;

    /** Returns the plan with less of it. */
    public function fix(WrittenPlan $plan): WrittenPlan;
}
