<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Timing\Verdict;

/** A mend in words, with its result. */
final readonly class MendDocument
{
    /**
     * @param list<EditDocument> $edits
     * @param string $text the whole line after the mend, as it was typed
     * @param string $notation in parity numbering
     * @param int $savedMs with shorter waits
     */
    public function __construct(
        public string $words,
        public array $edits,
        public string $text,
        public string $notation,
        public Verdict $verdict,
        public int $lengthMs,
        public int $waitMs,
        public int $savedMs,
    ) {
    }
}
