<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

/** What is kept of an entry of a file until it is read. */
final readonly class UnreadEntry
{
    /**
     * @param array<string, mixed>|null $fields as of {@see ImportEntry}
     * @param list<string> $stated
     */
    public function __construct(
        public int $line,
        public string $source,
        public ?array $fields,
        public array $stated,
        public bool $isRemark = false,
    ) {
    }
}
