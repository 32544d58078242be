<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

enum ParameterKind: string
{
    case Whole = 'whole';
    /** One number or several. */
    case Wholes = 'wholes';
    case Choice = 'choice';
    /** At least one of them. */
    case Choices = 'choices';
    case Flag = 'flag';
    case Text = 'text';
    /** The id of an exercise of the gym. */
    case Exercise = 'exercise';
}
