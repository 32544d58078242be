<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** A combination that was changed or archived since it was planned. */
final readonly class ChangedCombination
{
    public function __construct(
        public int $id,
        public string $name,
        public bool $archived,
        public ChainVersion $planned,
        public ChainVersion $now,
    ) {
    }
}
