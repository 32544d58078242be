<?php

declare(strict_types=1);

namespace Periplus\Core\Measure;

/** When strikes of a chain land. */
final readonly class ContactDocument
{
    /** @param list<int> $items places in the chain of the strikes that land together */
    public function __construct(public array $items, public float $ms)
    {
    }
}
