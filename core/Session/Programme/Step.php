<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Plan\BlockKind;
use Periplus\Core\Session\Plan\Lane;
use Periplus\Core\Session\Plan\Round;
use Periplus\Core\Session\Plan\SessionPlan;

use function Periplus\Core\Language\t;

/**
 * One time that a round is done.
 *
 * @internal to {@see ProgrammeBuilder}
 */
final readonly class Step
{
    /**
     * @param Round $round as it is done, with its amendments
     * @param string $title such as "Round 2 of 6: Pull and counter"
     * @param bool $isLast of its block; there is no rest after it
     * @param int $times how often the round is done
     */
    public function __construct(
        public Round $round,
        public Place $place,
        public string $title,
        public bool $isLast,
        public int $times,
    ) {
    }

    /** @return list<self> every round as often as it is done, in order */
    public static function all(SessionPlan $plan, Amendments $amendments): array
    {
        $steps = [];
        foreach ($plan->blocks as $number => $block) {
            $times = [];
            foreach ($block->rounds as $place => $round) {
                $times[$place] = $amendments->times($round, new Place($number, $place));
            }
            $all = array_sum($times);
            $count = 0;
            foreach ($block->rounds as $place => $round) {
                for ($repeat = 0; $repeat < $times[$place]; ++$repeat) {
                    ++$count;
                    $here = new Place($number, $place, $repeat);
                    $title =
                        BlockKind::Rounds === $block->kind && $all > 1
                            ? t('Round {count} of {all}', count: $count, all: $all)
                            : $block->name;
                    $steps[] = new self(
                        $amendments->round($round, $here),
                        $here,
                        '' === $round->name ? $title : $title.': '.$round->name,
                        $count === $all,
                        $times[$place],
                    );
                }
            }
        }

        return $steps;
    }

    /** Returns what that track does in it, or everybody. */
    public function lane(?int $track): Lane
    {
        return null === $track ? $this->round->everybody : $this->round->lane($track);
    }
}
