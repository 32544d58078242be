<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

/** The names of the file format of the logbook: docs/formats/logbook.md. */
final readonly class LogFormat
{
    public const NAME = 'periplus-logbook';
    public const VERSION = 1;
    /** Columns of a CSV file. */
    public const COLUMNS = [
        'key',
        'day',
        'session',
        'course',
        'coach',
        'lengthMs',
        'workMs',
        'orthodox',
        'southpaw',
        'level1',
        'level2',
        'level3',
        'effort',
        'note',
        'combination',
        'chain',
        'stance',
        'thrown',
        'medium',
        'level',
        'ms',
        'otherMs',
        'repetitions',
        'strikes',
        'fallen',
        'faults',
    ];
    /** What stands between the faults of two links. */
    public const BETWEEN_FAULTS = ' | ';
    public const KEY = '/^[A-Za-z0-9-]{4,64}$/D';
}
