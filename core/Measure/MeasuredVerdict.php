<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/** How a measured link compares with the computed one. */
enum MeasuredVerdict: string
{
    case AsComputed = 'as-computed';
    case Faster = 'faster';
    case Stops = 'stops';
    case NotHeard = 'not-heard';
}
