<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Is changed only from the version that somebody looked at, see {@see Versions}. */
interface Versioned
{
    public function version(): int;

    /** Says that it was changed since, by whom where that is known, and what to do. */
    public function changedMeanwhile(): string;
}
