<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

/** Something in the offers of a gym. */
interface OfferedThing
{
    public function kind(): OfferKind;

    /** Returns what its gym knows it by; the same in later versions. */
    public function item(): string;

    public function name(): string;

    /** Returns a word that is another one for every other content. */
    public function digest(): string;
}
