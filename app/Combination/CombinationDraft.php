<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Combination\ChainInStance;

/** What a coach sent to be saved, read: the content in its stored form, and the chain in its stance. */
final readonly class CombinationDraft
{
    public function __construct(public CombinationContent $content, public ChainInStance $inStance)
    {
    }
}
