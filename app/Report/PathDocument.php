<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** The path of a course to a combination. */
final readonly class PathDocument
{
    /**
     * @param list<PathStep> $steps
     * @param string $says the result in a sentence
     */
    public function __construct(
        public PathTarget $target,
        public PathStart $knows,
        public array $steps,
        public bool $found,
        public string $says,
    ) {
    }
}
