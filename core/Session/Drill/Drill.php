<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/**
 * Turns combinations, moves, words and a clock into cues. Classes in the folder Session/Drills are found
 * automatically.
 */
interface Drill
{
    public function definition(): DrillDefinition;

    /**
     * Returns what cannot work as planned, beyond the bounds in the definition.
     *
     * @return iterable<DrillProblem>
     */
    public function problems(DrillRun $run): iterable;

    /** Returns what is announced before the drill begins: all of it, not only its first step. */
    public function announcement(DrillRun $run): DrillCue;

    /** @return iterable<DrillCue> in the order of their moments, none of them at or after the end */
    public function cues(DrillRun $run): iterable;

    /** @return iterable<Portion> what is thrown, for the load */
    public function portions(DrillRun $run): iterable;
}
