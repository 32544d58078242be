<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** What happens to a target that is pushed. */
enum Pushed: string
{
    /** It goes back and stays there, as a person does. */
    case Away = 'away';
    /** It swings back, so that what follows meets it where it wants to. */
    case Swings = 'swings';
    case Stays = 'stays';
}
