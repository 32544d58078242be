<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Where a lead hook leaves the weight. */
enum LeadHook: string
{
    case BackFoot = 'back-foot';
    case FrontFoot = 'front-foot';
}
