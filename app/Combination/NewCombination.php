<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** A combination to be inserted together with others. */
final readonly class NewCombination
{
    public CombinationContent $content;

    public function __construct(CombinationContent $content, public CheckSummary $check, public bool $archived = false)
    {
        $this->content = $content->settled($check);
    }
}
