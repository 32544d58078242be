<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\Core\Technique\Stance;

/** A card as an athlete sees it. */
final readonly class CardDocument
{
    /**
     * @param string $numbering its name
     * @param list<CardChain> $combinations
     */
    public function __construct(
        public string $name,
        public string $gym,
        public Stance $stance,
        public string $numbering,
        public array $combinations,
    ) {
    }
}
