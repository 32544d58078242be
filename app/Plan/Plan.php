<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

/** A plan as it is stored. */
final readonly class Plan
{
    /**
     * @param array{id: int, name: string}|null $course
     * @param string|null $startsAt in the time of the gym, such as 2026-11-26T18:30
     * @param array<mixed>|null $stored its content as it was written; null where it is a row of a list
     * @param int $lengthMs as it was when it was saved
     * @param int $problems how many it had then
     * @param array{id: int, name: string} $author
     * @param array{id: int, name: string} $editor
     */
    public function __construct(
        public int $id,
        public int $version,
        public string $name,
        public ?array $course,
        public bool $isTemplate,
        public ?string $startsAt,
        public int $lengthMs,
        public int $problems,
        private ?array $stored,
        public array $author,
        public array $editor,
        public \DateTimeImmutable $updatedAt,
        public bool $archived,
    ) {
    }

    /** @return array<mixed> as it was written */
    public function content(): array
    {
        return $this->stored ?? throw new \LogicException('A row of a list has no content. Get the plan by its id.');
    }

    /** @return array<string, mixed> as lists have it */
    public function row(): array
    {
        return [
            'id' => $this->id,
            'version' => $this->version,
            'name' => $this->name,
            'course' => $this->course,
            'isTemplate' => $this->isTemplate,
            'startsAt' => $this->startsAt,
            'lengthMs' => $this->lengthMs,
            'problems' => $this->problems,
            'author' => $this->author,
            'editor' => $this->editor,
            'updatedAt' => $this->updatedAt->format(\DATE_ATOM),
            'archived' => $this->archived,
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [...$this->row(), 'content' => (object) $this->content()];
    }
}
