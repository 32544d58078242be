<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\Core\Combination\ChainInStance;

/** What a coach sent to be saved, read: the content in its stored form, and the chain in its stance. */
final readonly class Draft
{
    public function __construct(public Content $content, public ChainInStance $inStance)
    {
    }
}
