<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\ChainInStance;

/** A typed chain with its reading, from which its check, its mends and what could follow are computed. */
final readonly class ReadChain
{
    /** Null when the text cannot be read. */
    public ?ChainInStance $inStance;

    public function __construct(public ChainText $text, public Reading $reading)
    {
        $this->inStance = null === $reading->chain ? null : new ChainInStance($reading->chain, $text->stance);
    }
}
