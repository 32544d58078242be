<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Periplus\Core\Technique\Stance;

/** A chain of the library with its name. */
final readonly class NamedChain
{
    /** @param string $notation in parity numbering */
    public function __construct(public int $id, public string $name, public string $notation, public Stance $stance)
    {
    }
}
