<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Drill\PlannedCombination;

/** A change of a running programme. It leaves everything before its place unchanged. */
final readonly class Amendment
{
    /**
     * @param Place $place the round and its repeat, for a swap with the set; a block alone means the changeover after
     *                     it
     * @param int $at s from the start of that round
     * @param int $seconds by which it is longer
     * @param int|null $track whose set it is; everybody's when null
     * @param int $combination which one of the set is swapped, counted from 0
     */
    private function __construct(
        public AmendmentKind $kind,
        public Place $place,
        public int $at = 0,
        public int $seconds = 0,
        public ?int $track = null,
        public int $combination = 0,
        public ?PlannedCombination $with = null,
    ) {
    }

    public static function longer(Place $place, int $at, int $seconds): self
    {
        return new self(AmendmentKind::Longer, $place, $at, $seconds);
    }

    public static function again(Place $place): self
    {
        return new self(AmendmentKind::Again, $place);
    }

    public static function swap(Place $place, ?int $track, int $combination, PlannedCombination $with): self
    {
        return new self(
            kind: AmendmentKind::Swap,
            place: $place,
            at: 0,
            seconds: 0,
            track: $track,
            combination: $combination,
            with: $with,
        );
    }
}
