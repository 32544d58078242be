<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** The kind of change that made a version of a plan. */
enum PlanChange: string
{
    case Created = 'created';
    case Updated = 'updated';
    case Archived = 'archived';
    case Restored = 'restored';
    /** An earlier version was restored. */
    case BroughtBack = 'back';
}
