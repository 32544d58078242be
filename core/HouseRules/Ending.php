<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** How a chain ends. */
enum Ending: string
{
    case Move = 'move';
    case Kick = 'kick';
    case LeadHand = 'lead-hand';
    case Any = 'any';
}
