<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** Estimates the number of cues of a round from the first minute of each set. */
final readonly class CueCount
{
    private const SAMPLE_SECONDS = 60;
    /** Bell, rest, announcement, change and the last ten seconds of a set or window. */
    private const CUES_AROUND_SET = 4;

    /** @return int of all its repeats and tracks together */
    public static function estimate(Round $round, SessionPlan $plan): int
    {
        $lanes = [] === $round->lanes ? [$round->everybody] : array_map($round->lane(...), array_keys($plan->tracks));

        return $round->times * (int) array_sum(array_map(
            static fn (Lane $lane): float => self::ofLane($lane, $round, $plan),
            $lanes,
        ));
    }

    private static function ofLane(Lane $lane, Round $round, SessionPlan $plan): float
    {
        $count = (float) self::CUES_AROUND_SET * \count($lane->windows);
        foreach ($lane->sets as $set) {
            $sample = min($set->seconds, self::SAMPLE_SECONDS);
            $run = $set->run($plan, null, $round->stance, null, seconds: $sample);
            $count += self::CUES_AROUND_SET + \count([...$set->drill->cues($run)]) * $set->seconds / $sample;
        }

        return $count;
    }
}
