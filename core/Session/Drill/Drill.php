<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** A rule that turns combinations, moves, words and a clock into cues. It is found by the folder of drills. */
interface Drill
{
    public function definition(): DrillDefinition;

    /**
     * What does not come out as planned, beyond what the definition asks for.
     *
     * @return list<DrillProblem>
     */
    public function problems(DrillRun $run): array;

    /** @return list<DrillCue> in the order of their moments, none of them at or after the end */
    public function cues(DrillRun $run): array;

    /** @return list<Portion> what is thrown, for the load */
    public function portions(DrillRun $run): array;
}
