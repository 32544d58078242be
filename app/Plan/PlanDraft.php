<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Periplus\App\Course\Course;

/** The content of a plan that coaches write; stored with every version. */
final readonly class PlanDraft
{
    /**
     * @param \DateTimeImmutable|null $startsAt in UTC
     * @param int $lengthMs as it follows from the content now; $problems too
     * @param array<mixed> $content as it was written, docs/formats/session.md
     */
    public function __construct(
        public string $name,
        public ?Course $course,
        public bool $isTemplate,
        public ?\DateTimeImmutable $startsAt,
        public int $lengthMs,
        public int $problems,
        public array $content,
    ) {
    }
}
