<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Generate;

/** What is left of criteria when one of them is given up. */
final readonly class RelaxedCriteria
{
    public function __construct(public GenerationCriteria $criteria, public Relaxation $relaxation)
    {
    }
}
