<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Course\Course;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;

use function Periplus\Core\Language\t;

/** A plan of a session, or a template. */
#[ORM\Entity(repositoryClass: Plans::class)]
#[ORM\Table(name: 'plan')]
#[ORM\Index(name: 'by_start', columns: ['archived_at', 'starts_at'])]
#[ORM\Index(name: 'by_course', columns: ['course_id', 'starts_at'])]
#[ORM\Index(name: 'by_author', columns: ['author_id'])]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class Plan implements Versioned
{
    use HasVersion;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\ManyToOne]
    private ?Course $course;

    #[ORM\Column(options: ['default' => false])]
    private bool $isTemplate;

    /** In UTC. */
    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $startsAt;

    /** The length when it was saved. */
    #[ORM\Column]
    private int $lengthMs;

    #[ORM\Column]
    private int $problems;

    /** @var array<mixed> as it was written */
    #[ORM\Column]
    private array $content;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private User $editor;

    #[ORM\Column]
    private \DateTimeImmutable $updatedAt;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $archivedAt = null;

    public function __construct(
        PlanDraft $draft,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $author,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->write($draft, $author, $createdAt);
    }

    public function write(PlanDraft $draft, User $editor, \DateTimeImmutable $now): void
    {
        $this->name = $draft->name;
        $this->course = $draft->course;
        $this->isTemplate = $draft->isTemplate;
        $this->startsAt = $draft->startsAt;
        $this->lengthMs = $draft->lengthMs;
        $this->problems = $draft->problems;
        $this->content = $draft->content;
        $this->edited($editor, $now);
    }

    public function archive(User $editor, \DateTimeImmutable $now): void
    {
        $this->archivedAt ??= $now;
        $this->edited($editor, $now);
    }

    public function restore(User $editor, \DateTimeImmutable $now): void
    {
        $this->archivedAt = null;
        $this->edited($editor, $now);
    }

    private function edited(User $editor, \DateTimeImmutable $now): void
    {
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function draft(): PlanDraft
    {
        return new PlanDraft(
            name: $this->name,
            course: $this->course,
            isTemplate: $this->isTemplate,
            startsAt: $this->startsAt,
            lengthMs: $this->lengthMs,
            problems: $this->problems,
            content: $this->content,
        );
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This plan is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    public function course(): ?Course
    {
        return $this->course;
    }

    /** @return array<mixed> as it was written */
    public function content(): array
    {
        return $this->content;
    }

    public function startsAt(): ?\DateTimeImmutable
    {
        return $this->startsAt;
    }

    public function changedMeanwhile(): string
    {
        return t('{editor} changed this session meanwhile. Nothing was overwritten.', editor: $this->editor->name());
    }

    /** Returns the plan as a row of a list. */
    public function row(): PlanRow
    {
        return new PlanRow(
            id: $this->id(),
            version: $this->version,
            name: $this->name,
            course: $this->course?->id(),
            courseName: $this->course?->name(),
            isTemplate: $this->isTemplate,
            startsAt: $this->startsAt,
            lengthMs: $this->lengthMs,
            problems: $this->problems,
            author: $this->author->id(),
            authorName: $this->author->name(),
            editor: $this->editor->id(),
            editorName: $this->editor->name(),
            updatedAt: $this->updatedAt,
            archivedAt: $this->archivedAt,
        );
    }
}
