<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\Core\Technique\Stance;

/** A combination as it was when the card was made, so that the card does not change later. */
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
