<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Timing\Verdict;

/** The mends of a text; docs/formats/suggest.md describes every key. */
final readonly class MendsDocument
{
    /**
     * @param Verdict|null $verdict before the mends; null when the text cannot be read
     * @param list<MendDocument> $mends that lift the verdict, the best first
     * @param list<FindingMends> $findings
     * @param bool $pairs pairs of edits were tried
     * @param bool $complete all pairs were tried
     */
    public function __construct(
        public ?Verdict $verdict = null,
        public ?int $lengthMs = null,
        public array $mends = [],
        public array $findings = [],
        public bool $pairs = false,
        public bool $complete = true,
    ) {
    }
}
