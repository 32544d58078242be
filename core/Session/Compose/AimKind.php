<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

/** The kind of subject of a generated session. */
enum AimKind: string
{
    /** Overdue combinations first, then those never drilled, then the least drilled. */
    case Due = 'due';
    /** The combinations of a week of the course's syllabus. */
    case Syllabus = 'syllabus';
    case Theme = 'theme';
    case Weapon = 'weapon';
}
