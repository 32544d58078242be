<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Technique\Stance;

/** Provides chains of the library for the preview of a numbering. */
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
