<?php

declare(strict_types=1);

namespace Periplus\App\Course;

/**
 * A group that trains regularly.
 *
 * @phpstan-type CourseContent array{rules: string, group: string, medium: string, levels: non-empty-list<int>, stances: list<string>, minutes: int, weekday: int|null, time: string|null, work: int, longestWork: int, workStep: int, rests: non-empty-list<int>, note: string}
 */
final readonly class Course
{
    /** @param CourseContent $content */
    public function __construct(public int $id, public int $version, public string $name, public array $content, public bool $archived)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'name' => $this->name, ...$this->content, 'archived' => $this->archived];
    }
}
