<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Course\Course;

/**
 * A plan as it once was. What one coach saves again within minutes is one version, as it saves itself while one edits.
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
    /** s within which one coach's saves are one version */
    private const STINT = 900;

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

    /** What it held, with its course as it is now. */
    public function draft(?Course $course): PlanDraft
    {
        /** @var array<mixed> $content */
        $content = json_decode($this->content['content'], true, flags: \JSON_THROW_ON_ERROR);
        $startsAt = $this->content['starts_at'];

        return new PlanDraft(
            $this->content['name'],
            $course,
            1 === $this->content['is_template'],
            null === $startsAt ? null : new \DateTimeImmutable($startsAt, new \DateTimeZone('UTC')),
            $this->content['length_ms'],
            $this->content['problems'],
            $content,
        );
    }

    /** Whether a save of that coach goes on with this one. */
    public function isContinuedBy(User $editor, \DateTimeImmutable $now): bool
    {
        return PlanChange::Updated === $this->change
            && $this->editor->id() === $editor->id()
            && $this->createdAt > $now->modify('-'.self::STINT.' seconds');
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'version' => $this->version,
            'change' => $this->change,
            'name' => $this->content['name'],
            'lengthMs' => $this->content['length_ms'],
            'problems' => $this->content['problems'],
            'editor' => ['id' => $this->editor->id(), 'name' => $this->editor->name()],
            'createdAt' => $this->createdAt->format(\DATE_ATOM),
        ];
    }
}
