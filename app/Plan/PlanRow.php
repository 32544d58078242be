<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** A plan in a list, without its content. */
final readonly class PlanRow
{
    /** @param \DateTimeImmutable|null $startsAt in UTC */
    public function __construct(
        public int $id,
        public int $version,
        public string $name,
        public ?int $course,
        public ?string $courseName,
        public bool $isTemplate,
        public ?\DateTimeImmutable $startsAt,
        public int $lengthMs,
        public int $problems,
        public int $author,
        public string $authorName,
        public int $editor,
        public string $editorName,
        public \DateTimeImmutable $updatedAt,
        public ?\DateTimeImmutable $archivedAt,
    ) {
    }
}
