<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Session\Programme\Amendment;

/** The result of a command. */
final readonly class RunChange
{
    /**
     * @param string $target to what it was done; two commands of one kind with one target, given by coaches who had not
     *                       seen each other's, are one
     * @param Amendment|null $amendment of the programme
     */
    public function __construct(public RunState $state, public string $target, public ?Amendment $amendment = null)
    {
    }
}
