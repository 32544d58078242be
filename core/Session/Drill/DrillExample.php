<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** An example of a drill with its expected cues; run by the tests. */
final readonly class DrillExample
{
    /**
     * @param list<string> $combinations in parity numbering
     * @param array<string, mixed> $parameters
     * @param int $seconds of work
     * @param list<array{int, string, string}> $cues the first ones: ms, kind and text
     * @param int|null $count of all cues, where the first ones are not all
     */
    public function __construct(
        public array $combinations,
        public array $parameters,
        public int $seconds,
        public array $cues,
        public ?int $count = null,
    ) {
    }
}
