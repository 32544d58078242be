<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Options;

/** What a round is for; a finding that does not matter to it is at most a tip. */
enum Purpose: string
{
    case Technique = 'technique';
    case Speed = 'speed';
    case Power = 'power';
    case Conditioning = 'conditioning';
}
