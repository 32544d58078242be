<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Warning;

use Periplus\Core\Session\Plan\WrittenPlan;

/** One thing about a whole session that a head coach looks at. It is found by the folder of warnings. */
interface Warning
{
    public function definition(): WarningDefinition;

    /** @return list<string> where it holds, in one sentence each; what holds for both stances is said once */
    public function matches(WarningContext $context): array;

    /** The plan with less of it. */
    public function fix(WrittenPlan $plan): WrittenPlan;
}
