<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** Of which side the hand before a kick is: the side of the leg that kicks, or the other. */
enum HandSide: string
{
    case Any = 'any';
    case Same = 'same';
    case Opposite = 'opposite';
}
