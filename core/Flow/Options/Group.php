<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Options;

/** The group that trains. */
enum Group: string
{
    case Open = 'open';
    case Beginners = 'beginners';
    case Youth = 'youth';
}
