<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** What bin/keeper does when it is asked; the value is the word that it is asked with. */
enum MaintenanceJob: string
{
    case Backup = 'backup';
    /** Restores a backup to a copy beside the gym. */
    case Look = 'look';
    /** Puts the copy in place of the gym. */
    case Take = 'take';
    case Discard = 'discard';
    /** Founds a gym of one's own in place of the demo. */
    case Found = 'found';
}
