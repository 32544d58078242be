<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Combination\CombinationContent;

/** What an entry of a file would do to the library. */
final readonly class Judgement
{
    /**
     * @param string $message for the coach
     * @param CombinationContent|null $content what would be stored; null for what was not read
     * @param int|null $combination of the library that it is about, and its version where that is changed
     */
    public function __construct(
        public LineKind $kind,
        public string $message = '',
        public ?CombinationContent $content = null,
        public bool $archived = false,
        public ?string $fingerprint = null,
        public ?int $combination = null,
        public ?int $version = null,
    ) {
    }

    /** Returns what is kept of an entry that was read. */
    public function stored(): StoredEntry
    {
        return new StoredEntry(
            $this->archived,
            $this->content ?? throw new \LogicException('This entry was not read.'),
        );
    }

    public function saying(string $message): self
    {
        return new self(
            kind: $this->kind,
            message: $message,
            content: $this->content,
            archived: $this->archived,
            fingerprint: $this->fingerprint,
            combination: $this->combination,
            version: $this->version,
        );
    }

    public function about(CombinationContent $content, bool $archived, string $fingerprint): self
    {
        return new self(
            kind: $this->kind,
            message: $this->message,
            content: $this->content ?? $content,
            archived: null === $this->content && $archived,
            fingerprint: $fingerprint,
            combination: $this->combination,
            version: $this->version,
        );
    }
}
