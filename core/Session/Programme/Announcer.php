<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Plan\Set;

/**
 * Announces what comes: the next round, the next set, a change of sets.
 *
 * @internal to {@see ProgrammeBuilder}
 */
final readonly class Announcer
{
    public function __construct(private SessionPlan $plan, private Advice $advice)
    {
    }

    /** Returns how long before it begins something is announced during work, in ms. */
    public static function beforeMs(): int
    {
        return (int) (1000 * SessionValues::builtIn()->value('announce'));
    }

    /**
     * Announces a round, to each track with what it begins for them.
     *
     * @param int $forMs when it begins
     * @param Place|null $place during which it is announced; its own when null
     *
     * @return list<Cue>
     */
    public function round(Step $next, int $atMs, int $forMs, ?Place $place, ?int $track = null): array
    {
        $cues = [];
        $tracks = null === $track && [] !== $next->round->lanes ? array_keys($this->plan->tracks) : [$track];
        foreach ($tracks as $of) {
            $set = $next->lane($of)->sets[0] ?? null;
            if (null !== $set) {
                $run = $this->run($set, $next, $of, 0, $set->seconds);
                $first = $set->withForms($set->drill->announcement($run));
                $cues[] = Cue::of($first->announced($next->round->name), $atMs, $of, $place ?? $next->place, $forMs);
            }
        }

        return $cues;
    }

    /**
     * Announces the set that comes after a rest within a round.
     *
     * @param int $start of the round, ms
     * @param int $from when the rest begins, s of the round
     *
     * @return list<Cue> none when no set comes
     */
    public function set(Step $step, ?Piece $piece, int $start, int $from, ?int $track): array
    {
        if (null === $piece) {
            return [];
        }
        $set = $step->lane($track)->sets[$piece->set];
        $run = $this->run($set, $step, $track, $piece->from, $piece->seconds());
        $first = $set->withForms($set->drill->announcement($run));

        return [
            Cue::of($first->announced(), $start + 1000 * $from, $track, $step->place, $start + 1000 * $piece->from),
        ];
    }

    /**
     * Returns the change from one set to the next, announced beforehand. One that follows a set shorter than the
     * announcement is said when it begins, or the announcement would be taken for that set.
     *
     * @param int $earliest when the set before has begun, ms
     *
     * @return list<Cue>
     */
    public function change(
        DrillCue $next,
        string $title,
        int $offsetMs,
        int $earliest,
        ?int $track,
        Place $place,
    ): array {
        $announcedMs = $offsetMs - self::beforeMs();

        return [
            ...($announcedMs > $earliest
                ? [Cue::of($next->announced(), $announcedMs, $track, $place, $offsetMs)]
                : []),
            new Cue($offsetMs, $track, CueKind::Change, $title, $place),
        ];
    }

    /** Returns what is thrown in the first set of a round, as far as it is known. */
    public function comes(Step $step, ?int $track): ?Chain
    {
        $set = $step->lane($track)->sets[0] ?? null;

        return $set?->thrown($this->run($set, $step, $track, 0, $set->seconds));
    }

    /**
     * Returns a set as it is done.
     *
     * @param int $from s of the round
     */
    public function run(Set $set, Step $step, ?int $track, int $from, int $seconds): DrillRun
    {
        $repeat = $step->place->repeat ?? 0;

        return $set->run(
            $this->plan,
            $track,
            $step->round->stance,
            $this->advice,
            seed: crc32(implode('/', [$this->plan->seed, $set->place, $repeat, $track ?? '', $from])),
            repeat: $repeat,
            times: $step->times,
            seconds: $seconds,
        );
    }
}
