<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** How much a finding weighs in the house rules. A credit is why a chain is good. */
enum Severity: string
{
    case Off = 'off';
    case Hint = 'hint';
    case Should = 'should';
    case Must = 'must';
    case Credit = 'credit';
}
