<?php

declare(strict_types=1);

namespace Periplus\App\Course;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;

use function Periplus\Core\Language\t;

/** A group that trains regularly. */
#[ORM\Entity(repositoryClass: Courses::class)]
#[ORM\Table(name: 'course')]
#[ORM\Index(name: 'by_name', columns: ['archived_at', 'name'])]
#[ORM\Index(name: 'by_editor', columns: ['editor_id'])]
class Course implements Versioned, \JsonSerializable
{
    use HasVersion;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $archivedAt = null;

    /** Null until something is written into it. */
    #[ORM\Column(type: SyllabusType::NAME, nullable: true)]
    private ?Syllabus $syllabus = null;

    public function __construct(
        #[ORM\Column(length: 80)]
        private string $name,
        #[ORM\Column(type: CourseContentType::NAME)]
        private CourseContent $content,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $editor,
        #[ORM\Column]
        private \DateTimeImmutable $updatedAt,
    ) {
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This course is not stored yet.');
    }

    public function name(): string
    {
        return $this->name;
    }

    public function content(): CourseContent
    {
        return $this->content;
    }

    public function syllabus(): Syllabus
    {
        return $this->syllabus ?? new Syllabus();
    }

    public function isArchived(): bool
    {
        return null !== $this->archivedAt;
    }

    public function change(string $name, CourseContent $content, User $editor, \DateTimeImmutable $now): void
    {
        $this->name = $name;
        $this->content = $content;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function teach(Syllabus $syllabus, User $editor, \DateTimeImmutable $now): void
    {
        $this->syllabus = $syllabus;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function archive(\DateTimeImmutable $now): void
    {
        $this->archivedAt ??= $now;
    }

    public function restore(): void
    {
        $this->archivedAt = null;
    }

    public function changedMeanwhile(): string
    {
        return t('This course was changed meanwhile. Nothing was overwritten; look at the newest and make the change '
            .'again.');
    }

    /** @return array<mixed> */
    public function jsonSerialize(): array
    {
        return [
            'id' => $this->id(),
            'version' => $this->version,
            'name' => $this->name,
            ...(array) $this->content,
            'archived' => $this->isArchived(),
        ];
    }
}
