<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\ChainInStance;

/** A combination in a set: its chain and its id in the library. */
final readonly class PlannedCombination
{
    /**
     * @param string $text as it was planned, in the numbering of the plan
     * @param int|null $id in the library; null for one that was typed
     * @param int|null $version of the library that was planned
     * @param list<string> $themes that it has in the library
     */
    public function __construct(
        public string $text,
        public ChainInStance $inStance,
        public ?string $name = null,
        public ?int $id = null,
        public ?int $version = null,
        public array $themes = [],
    ) {
    }
}
