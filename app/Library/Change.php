<?php

declare(strict_types=1);

namespace Periplus\App\Library;

/** What made a version. */
enum Change: string
{
    case Created = 'created';
    case Updated = 'updated';
    case Archived = 'archived';
    case Restored = 'restored';
}
