<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Course\Course;
use Periplus\App\Store\Instant;

/**
 * An earlier state of a plan. Because the planner saves while one edits, saves of one coach within minutes make one
 * version.
 *
 * @phpstan-type StoredDraft array{
 *     name: string,
 *     course_id: int|null,
 *     starts_at: string|null,
 *     is_template: int,
 *     length_ms: int,
 *     problems: int,
 *     content: string,
 * }
 */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'plan_version')]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class PlanVersion implements \JsonSerializable
{
    /** Time in s within which one coach's saves make one version. */
    private const SAME_VERSION_SECONDS = 900;

    /** @var StoredDraft with the content as JSON, as it was written */
    #[ORM\Column]
    private array $content;

    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Plan $plan,
        #[ORM\Id, ORM\Column]
        private int $version,
        #[ORM\Column(name: 'change_kind', length: 12, enumType: PlanChange::class)]
        private PlanChange $change,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $editor,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $draft = $plan->draft();
        $this->content = [
            'name' => $draft->name,
            'course_id' => $draft->course?->id(),
            'starts_at' => $draft->startsAt?->format('Y-m-d H:i:s'),
            'is_template' => (int) $draft->isTemplate,
            'length_ms' => $draft->lengthMs,
            'problems' => $draft->problems,
            'content' => json_encode(
                (object) $draft->content,
                \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION,
            ),
        ];
    }

    public function plan(): Plan
    {
        return $this->plan;
    }

    public function course(): ?int
    {
        return $this->content['course_id'];
    }

    /** Returns its content, with its course in the current state. */
    public function draft(?Course $course): PlanDraft
    {
        /** @var array<mixed> $content */
        $content = json_decode($this->content['content'], true, flags: \JSON_THROW_ON_ERROR);
        $startsAt = $this->content['starts_at'];

        return new PlanDraft(
            name: $this->content['name'],
            course: $course,
            isTemplate: 1 === $this->content['is_template'],
            startsAt: null === $startsAt ? null : new \DateTimeImmutable($startsAt, new \DateTimeZone('UTC')),
            lengthMs: $this->content['length_ms'],
            problems: $this->content['problems'],
            content: $content,
        );
    }

    /** Tells whether a save by that coach belongs to this version. */
    public function isContinuedBy(User $editor, \DateTimeImmutable $now): bool
    {
        return PlanChange::Updated === $this->change
            && $this->editor->id() === $editor->id()
            && $this->createdAt > $now->modify('-'.self::SAME_VERSION_SECONDS.' seconds');
    }

    public function jsonSerialize(): ShownPlanVersion
    {
        return new ShownPlanVersion(
            version: $this->version,
            change: $this->change,
            name: $this->content['name'],
            lengthMs: $this->content['length_ms'],
            problems: $this->content['problems'],
            editor: $this->editor->person(),
            createdAt: new Instant($this->createdAt),
        );
    }
}
