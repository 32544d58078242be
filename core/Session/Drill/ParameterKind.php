<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

enum ParameterKind: string
{
    case Whole = 'whole';
    /** One whole number or several. */
    case Wholes = 'wholes';
    case Choice = 'choice';
    /** At least one of the choices. */
    case Choices = 'choices';
    case Flag = 'flag';
    case Text = 'text';
    /** A chain in the numbering of the plan; may be empty. */
    case Chain = 'chain';
    /** Several chains, where one may be empty. */
    case Chains = 'chains';
    /** Themes: those that are known, and the gym's own words. */
    case Themes = 'themes';
    /** The id of an exercise of the gym. */
    case Exercise = 'exercise';
}
