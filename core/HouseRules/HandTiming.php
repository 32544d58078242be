<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Whether hand and kick land apart or together. */
enum HandTiming: string
{
    case Any = 'any';
    case Apart = 'apart';
    case Together = 'together';
}
