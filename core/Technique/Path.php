<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The path of a strike, which decides what it reaches on the opponent's side. */
enum Path: string
{
    case Straight = 'straight';
    case Circular = 'circular';
    case Vertical = 'vertical';
    case Spinning = 'spinning';
}
