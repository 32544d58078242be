<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Stance;

/** A chain as typed, with the stance and numbering to read it in and the numbering to answer in. */
final readonly class ChainText
{
    public Numbering $numbering;
    public Numbering $readIn;

    /** @param Numbering|null $readIn the numbering of the text when null */
    public function __construct(
        public string $text,
        public Stance $stance = Stance::Orthodox,
        ?Numbering $numbering = null,
        ?Numbering $readIn = null,
    ) {
        $this->numbering = $numbering ?? Numbering::named('parity');
        $this->readIn = $readIn ?? $this->numbering;
    }
}
