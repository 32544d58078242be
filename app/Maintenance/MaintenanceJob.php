<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** The jobs of bin/keeper; the value is the word in its request file. */
enum MaintenanceJob: string
{
    case Backup = 'backup';
    /** Restores a backup to a copy beside the gym. */
    case Look = 'look';
    /** Replaces the gym with the copy. */
    case Take = 'take';
    case Discard = 'discard';
    /** Replaces the demo with a new gym. */
    case Found = 'found';
}
