<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Account\Person;
use Periplus\Core\Flow\Timing\Verdict;

/** A combination in the API, without its picture and check. Lists read it without the ORM. */
final readonly class CombinationSummary
{
    /** @param string|null $drilledOn the last day on which it was drilled, such as 2026-11-26 */
    public function __construct(
        public int $id,
        public int $version,
        public CombinationContent $content,
        public Verdict $verdict,
        public int $lengthMs,
        public string $fingerprintWithEffort,
        public Person $author,
        public Person $editor,
        public \DateTimeImmutable $createdAt,
        public \DateTimeImmutable $updatedAt,
        public ?\DateTimeImmutable $archivedAt,
        public ?string $drilledOn,
    ) {
    }

    /** @param array<string, mixed> $row as {@see CombinationTable} reads it */
    public static function of(array $row): self
    {
        /**
         * @var array{
         *     id: int|string,
         *     version: int|string,
         *     name: string,
         *     notation: string,
         *     stance: string,
         *     rules: string,
         *     themes: string,
         *     level: int|string,
         *     level_chosen: int|string|null,
         *     note: string,
         *     verdict: string,
         *     length_ms: int|string,
         *     fingerprint_with_effort: string,
         *     author_id: int|string,
         *     author_name: string,
         *     editor_id: int|string,
         *     editor_name: string,
         *     created_at: string,
         *     updated_at: string,
         *     archived_at: string|null,
         *     drilled_at: string|null,
         * } $row
         */
        $time = static fn (?string $time): ?\DateTimeImmutable => null === $time ? null : new \DateTimeImmutable($time);

        return new self(
            id: (int) $row['id'],
            version: (int) $row['version'],
            content: CombinationContent::ofRow($row),
            verdict: Verdict::from($row['verdict']),
            lengthMs: (int) $row['length_ms'],
            fingerprintWithEffort: $row['fingerprint_with_effort'],
            author: new Person((int) $row['author_id'], $row['author_name']),
            editor: new Person((int) $row['editor_id'], $row['editor_name']),
            createdAt: new \DateTimeImmutable($row['created_at']),
            updatedAt: new \DateTimeImmutable($row['updated_at']),
            archivedAt: $time($row['archived_at']),
            drilledOn: null === $row['drilled_at'] ? null : substr($row['drilled_at'], 0, 10),
        );
    }
}
