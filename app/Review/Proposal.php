<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Combination\CombinationContent;

/** What a coach proposes. The published version stays in use until it is approved. */
final readonly class Proposal
{
    /**
     * @param int $version counted up by every step, for writes that name it
     * @param int|null $basedOn the version of the combination it was made from; null for a new one
     */
    private function __construct(
        public int $id,
        public int $version,
        public ProposalKind $kind,
        public ProposalState $state,
        public ?int $combination,
        public ?int $basedOn,
        public CombinationContent $content,
        public int $author,
        public string $authorName,
        public \DateTimeImmutable $createdAt,
        public \DateTimeImmutable $updatedAt,
    ) {
    }

    /** @param array<string, mixed> $row of the table, with the author's name as author_name */
    public static function of(array $row): self
    {
        /** @var array{id: int|string, version: int|string, kind: string, state: string, combination_id: int|string|null, based_on: int|string|null, content: string, author_id: int|string, author_name: string, created_at: string, updated_at: string} $row */
        return new self(
            (int) $row['id'],
            (int) $row['version'],
            ProposalKind::from($row['kind']),
            ProposalState::from($row['state']),
            null === $row['combination_id'] ? null : (int) $row['combination_id'],
            null === $row['based_on'] ? null : (int) $row['based_on'],
            CombinationContent::ofJson($row['content']),
            (int) $row['author_id'],
            $row['author_name'],
            new \DateTimeImmutable($row['created_at']),
            new \DateTimeImmutable($row['updated_at']),
        );
    }
}
