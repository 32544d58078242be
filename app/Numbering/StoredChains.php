<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Technique\Stance;

/** Chains of the library that a numbering is tried on. */
interface StoredChains
{
    /**
     * @return list<array{
     *     id: int,
     *     name: string,
     *     notation: string,
     *     stance: Stance,
     * }> in use, by name; the notation is canonical
     */
    public function first(int $most): array;
}
