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

    /** @return array<string, mixed> with its start in the time of the gym, such as 2026-11-26T18:30 */
    public function toArray(\DateTimeZone $zone): array
    {
        return [
            'id' => $this->id,
            'version' => $this->version,
            'name' => $this->name,
            'course' => null === $this->course ? null : ['id' => $this->course, 'name' => $this->courseName],
            'isTemplate' => $this->isTemplate,
            'startsAt' => $this->startsAt?->setTimezone($zone)->format('Y-m-d\TH:i'),
            'lengthMs' => $this->lengthMs,
            'problems' => $this->problems,
            'author' => ['id' => $this->author, 'name' => $this->authorName],
            'editor' => ['id' => $this->editor, 'name' => $this->editorName],
            'updatedAt' => $this->updatedAt->format(\DATE_ATOM),
            'archived' => null !== $this->archivedAt,
        ];
    }
}
