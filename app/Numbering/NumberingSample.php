<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

/** A combination of the library in two numberings. */
final readonly class NumberingSample
{
    public function __construct(
        public int $id,
        public string $name,
        public string $before,
        public string $after,
    ) {
    }
}
