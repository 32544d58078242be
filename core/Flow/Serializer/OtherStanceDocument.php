<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Technique\Stance;

/** A chain as the other stance throws it: mirrored, or with the same limbs. */
final readonly class OtherStanceDocument
{
    /**
     * @param string $notation in parity numbering
     * @param string $text in the numbering of the question
     * @param string $words by side
     * @param list<MirrorChangeDocument> $changes
     */
    public function __construct(
        public Stance $stance,
        public string $notation,
        public string $text,
        public string $words,
        public array $changes,
    ) {
    }
}
