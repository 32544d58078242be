<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Combination\ChainInStance;

/** A combination as sent to be saved, after reading: its content in stored form, and its chain in its stance. */
final readonly class CombinationDraft
{
    public function __construct(public CombinationContent $content, public ChainInStance $inStance)
    {
    }
}
