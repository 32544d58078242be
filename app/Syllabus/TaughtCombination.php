<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Report\CombinationBrief;

/** A combination of a syllabus, with what the logbook says of it in this course. */
final readonly class TaughtCombination
{
    /**
     * @param string|null $buildsOn name of the earlier combination of the syllabus with which it shares most links
     * @param list<string> $new links that nothing before it in the syllabus has, in words
     * @param int $times in how many sessions it was drilled since the syllabus began; ever when it has no start
     * @param int $timesBefore in how many before that
     * @param bool|null $held whether it held the last time; null when it was never drilled
     */
    public function __construct(
        public CombinationBrief $combination,
        public ?string $buildsOn,
        public array $new,
        public int $times,
        public int $timesBefore,
        public ?string $last,
        public ?bool $held,
    ) {
    }
}
