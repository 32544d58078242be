<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

/** A chain in parity numbering that shows a rule or its absence; run by the tests. */
final readonly class Example
{
    public function __construct(
        public string $chain,
        public Medium $medium = Medium::Shadow,
        public Group $group = Group::Open,
        public float $tempo = 1.0,
    ) {
    }
}
