<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** The way a strike travels; what it finds on the opponent's side depends on it. */
enum Path: string
{
    case Straight = 'straight';
    case Circular = 'circular';
    case Vertical = 'vertical';
    case Spinning = 'spinning';
}
