<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use function Periplus\Core\Language\t;

/** A drill whose last seconds are straights, all out. */
final readonly class AllOut implements Drill
{
    /** @param int $seconds at the end of the set */
    public function __construct(private Drill $drill, private int $seconds)
    {
    }

    public function definition(): DrillDefinition
    {
        return $this->drill->definition();
    }

    public function problems(DrillRun $run): iterable
    {
        if ($run->seconds <= $this->seconds) {
            return [
                new DrillProblem(
                    t(
                        'All out for {seconds} s leaves nothing of a set of {all} s.',
                        seconds: $this->seconds,
                        all: $run->seconds,
                    ),
                    'allOut',
                ),
            ];
        }

        return $this->drill->problems($run->lasting($run->seconds - $this->seconds));
    }

    public function announcement(DrillRun $run): DrillCue
    {
        return $this->drill->announcement($run);
    }

    public function cues(DrillRun $run): iterable
    {
        $before = $run->seconds - $this->seconds;
        if ($before > 0) {
            yield from $this->drill->cues($run->lasting($before));
        }
        yield $run->cue(1000 * max(0, $before), CueKind::On, t('straights, all out'));
    }

    public function portions(DrillRun $run): iterable
    {
        $before = max(0, $run->seconds - $this->seconds);
        if ($before > 0) {
            yield from $this->drill->portions($run->lasting($before));
        }
        $ms = $run->ms() - 1000 * $before;
        yield Portion::free($ms, $run->stance, $ms / $run->freeStrikeMs());
    }
}
