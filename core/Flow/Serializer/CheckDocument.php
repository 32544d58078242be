<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Drawing\LineDrawing;
use Periplus\Core\Flow\Level\Difficulty;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Note;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Span;

/**
 * The answer to a check; docs/formats/check.md describes every key. When the text cannot be read, all is null or empty
 * except problems and notes.
 */
final readonly class CheckDocument
{
    /**
     * @param list<ReadingProblem> $problems
     * @param list<Note> $notes
     * @param list<Span> $passedOver what carries nothing
     * @param string|null $notation in parity numbering
     * @param string|null $text in the numbering that it was read in
     * @param string|null $rules id of the house rules
     * @param list<ItemDocument> $items
     * @param list<LinkDocument> $links
     * @param LinkDocument|null $loop from the last item back to the first, when the chain is repeated without a gap
     * @param list<FindingDocument> $findings
     * @param array<string, StanceDocument>|null $stances by stance, its own one first
     * @param \ArrayObject<string, LineDrawing>|null $drawings by size
     */
    public function __construct(
        public array $problems,
        public array $notes,
        public array $passedOver = [],
        public ?string $notation = null,
        public ?string $text = null,
        public ?string $words = null,
        public ?string $fingerprint = null,
        public ?string $fingerprintWithEffort = null,
        public ?string $rules = null,
        public ?Verdict $verdict = null,
        public ?Verdict $linkVerdict = null,
        public ?int $lengthMs = null,
        public ?int $waitMs = null,
        public ?string $summary = null,
        public array $items = [],
        public array $links = [],
        public ?LinkDocument $loop = null,
        public array $findings = [],
        public ?BalanceDocument $balance = null,
        public ?Difficulty $level = null,
        public ?array $stances = null,
        public ?OtherStanceDocument $mirror = null,
        public ?OtherStanceDocument $carry = null,
        public ?\ArrayObject $drawings = null,
    ) {
    }
}
