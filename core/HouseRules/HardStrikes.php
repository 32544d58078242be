<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Which strikes are hard: the last one, which those before prepare, or every one. */
enum HardStrikes: string
{
    case Last = 'last';
    case Every = 'every';
}
