<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Options;

/** What the athletes hit. */
enum Medium: string
{
    case Shadow = 'shadow';
    case Bag = 'bag';
    case Pads = 'pads';
    case Partner = 'partner';
}
