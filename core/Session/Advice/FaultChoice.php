<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Advice;

use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Medium;

/** Chooses the faults to look for in a chain, and at each of its links. */
final readonly class FaultChoice
{
    /** Number of faults that are said of a chain, and that are offered at a link. */
    public const MAX_FAULTS = 3;
    public const MAX_AT_LINK = 6;

    public function __construct(private Advice $advice)
    {
    }

    /**
     * @param Medium $medium at which it is thrown
     *
     * @return list<Fault> those of what is special about it first, and one of each topic before a second one
     */
    public function for(CheckResult $result, Medium $medium = Medium::Shadow): array
    {
        return \array_slice($this->ofTopics(ReminderChoice::topics($result, $medium)), 0, self::MAX_FAULTS);
    }

    /**
     * Returns the faults to look for at a link: those of its cause where it stops, then those of what comes and of what
     * was before it.
     *
     * @param int $link place of its earlier item
     *
     * @return list<Fault>
     */
    public function atLink(CheckResult $result, int $link): array
    {
        $items = $result->inStance->chain->items;
        $timing = $result->timing->linkTo($link + 1);
        $cause = null === $timing || Verdict::Flows === $timing->verdict ? null : $timing->cause;

        return \array_slice($this->inOrder([
            ...(null === $cause ? [] : ['cause:'.$cause->value]),
            ...ReminderChoice::topicsOf($items[$link + 1]),
            ...ReminderChoice::topicsOf($items[$link]),
        ]), 0, self::MAX_AT_LINK);
    }

    /**
     * @param list<string> $topics
     *
     * @return list<Fault> all of the first topic, then all of the next
     */
    private function inOrder(array $topics): array
    {
        $faults = [];
        foreach (array_unique($topics) as $topic) {
            array_push($faults, ...array_filter(
                $this->advice->faults,
                static fn (Fault $fault): bool => $fault->for === $topic,
            ));
        }

        return $faults;
    }

    /**
     * @param list<string> $topics
     *
     * @return list<Fault> one of each topic, then the second one of each
     */
    private function ofTopics(array $topics): array
    {
        $ranked = $seen = [];
        foreach ($this->inOrder($topics) as $order => $fault) {
            $seen[$fault->for] = 1 + ($seen[$fault->for] ?? 0);
            $ranked[] = [[$seen[$fault->for], $order], $fault];
        }
        usort($ranked, static fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return array_column($ranked, 1);
    }
}
