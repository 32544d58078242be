<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\Core\Technique\Stance;

/** A copy of a combination on a card, so that later changes of the library do not change the card. */
final readonly class CardCombination
{
    /** @param string $notation in parity numbering */
    public function __construct(
        public int $id,
        public string $name,
        public string $notation,
        public Stance $stance,
        public string $rules,
    ) {
    }
}
