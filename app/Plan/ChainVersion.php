<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\Core\Technique\Stance;

/** The chain of a combination in one of its versions. */
final readonly class ChainVersion
{
    /** @param string $chain in the numbering of the plan */
    public function __construct(public ?int $version, public string $chain, public Stance $stance)
    {
    }
}
