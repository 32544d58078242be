<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

/** The part of a chain that is being generated: before its first strike, after its last one, or between them. */
enum Phase
{
    case Start;
    case Between;
    case End;
}
