<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

/** Provides chains of the library for the preview of a numbering. */
interface StoredChains
{
    /** @return list<NamedChain> in use, by name */
    public function first(int $most): array;
}
