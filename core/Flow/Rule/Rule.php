<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Rule;

/** One thing beside the links that a head coach looks for. It is found by the folder of rules. */
interface Rule
{
    public function definition(): RuleDefinition;

    /** @return list<RuleMatch> */
    public function matches(RuleContext $context): array;
}
