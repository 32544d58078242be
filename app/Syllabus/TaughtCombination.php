<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Logbook\Outcome;
use Periplus\App\Report\CombinationBrief;

/** A combination of a syllabus, with what the logbook says of it in this course. */
final readonly class TaughtCombination
{
    /**
     * @param string|null $buildsOn name of the earlier combination of the syllabus with which it shares most links
     * @param list<string> $new links that nothing before it in the syllabus has, in words
     * @param Outcome $now since the syllabus began; ever when it has no start
     * @param Outcome $before before it began, as when the same was taught the last time
     * @param bool|null $held whether it held the last time; null when it was never drilled
     */
    public function __construct(
        public CombinationBrief $combination,
        public ?string $buildsOn,
        public array $new,
        public Outcome $now,
        public Outcome $before,
        public ?string $last,
        public ?bool $held,
    ) {
    }
}
