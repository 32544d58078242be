<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** An entity that can be changed only from a version that somebody has seen, see {@see Versions}. */
interface Versioned
{
    public function version(): int;

    /** Returns the sentence that it was changed meanwhile, by whom if known, and what to do. */
    public function changedMeanwhile(): string;
}
