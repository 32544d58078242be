<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** What made a version of a plan. */
enum PlanChange: string
{
    case Created = 'created';
    case Updated = 'updated';
    case Archived = 'archived';
    case Restored = 'restored';
    /** An earlier version came back. */
    case BroughtBack = 'back';
}
