<?php

declare(strict_types=1);

namespace Periplus\App\Gym;

/** The kind of gym in the database. */
enum GymKind: string
{
    /** Nothing has been loaded or founded yet. */
    case Empty = 'empty';
    case Demo = 'demo';
    case Own = 'own';
}
