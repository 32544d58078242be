<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** Where a move takes the head. */
enum Head: string
{
    case Stays = 'stays';
    case Lead = 'lead';
    case Rear = 'rear';
    case Low = 'low';
    case Back = 'back';
    /** The whole body leaves the line. */
    case Off = 'off';
}
