<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\Core\Flow\Verdict;
use Periplus\Core\Technique\Stance;

/**
 * A chain with a name, a starting stance and its place in the library. The chain is kept by role in canonical parity
 * notation; what the check says of it is kept beside it for filters and is computed anew at every save.
 */
#[ORM\Entity(repositoryClass: Combinations::class)]
#[ORM\Table(name: 'combination')]
#[ORM\Index(name: 'by_name', columns: ['archived_at', 'name'])]
#[ORM\Index(name: 'by_rules', columns: ['rules', 'id'])]
#[ORM\Index(name: 'by_fingerprint', columns: ['fingerprint_with_effort'])]
class Combination
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Version, ORM\Column(type: 'integer')]
    private int $version = 1;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\Column(type: 'text', length: 4000)]
    private string $notation;

    #[ORM\Column(length: 10, enumType: Stance::class)]
    private Stance $stance;

    #[ORM\Column(length: 20)]
    private string $rules;

    /** @var list<string> */
    #[ORM\Column(type: 'json')]
    private array $themes;

    #[ORM\Column(type: 'smallint')]
    private int $level;

    #[ORM\Column(type: 'text', length: 4000)]
    private string $note;

    #[ORM\Column(length: 32)]
    private string $fingerprint;

    #[ORM\Column(length: 32)]
    private string $fingerprintWithEffort;

    #[ORM\Column(length: 10, enumType: Verdict::class)]
    private Verdict $verdict;

    #[ORM\Column]
    private int $lengthMs;

    /** Role words, for the text filter. */
    #[ORM\Column(type: 'text', length: 4000)]
    private string $words;

    /** The limbs that land, as ",hand,leg,". */
    #[ORM\Column(length: 40)]
    private string $weapons;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private User $editor;

    #[ORM\Column]
    private \DateTimeImmutable $updatedAt;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $archivedAt = null;

    public function __construct(
        Content $content,
        Checked $checked,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private readonly User $author,
        #[ORM\Column]
        private readonly \DateTimeImmutable $createdAt,
    ) {
        $this->write($content, $checked, $author, $createdAt);
    }

    public function write(Content $content, Checked $checked, User $editor, \DateTimeImmutable $now): void
    {
        $this->name = $content->name;
        $this->notation = $content->notation;
        $this->stance = $content->stance;
        $this->rules = $content->rules;
        $this->themes = $content->themes;
        $this->level = $content->level;
        $this->note = $content->note;
        $this->fingerprint = $checked->fingerprint->plain;
        $this->fingerprintWithEffort = $checked->fingerprint->withEffort;
        $this->verdict = $checked->verdict;
        $this->lengthMs = $checked->lengthMs;
        $this->words = $checked->words;
        $this->weapons = $checked->weapons;
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

    public function content(): Content
    {
        return new Content($this->name, $this->notation, $this->stance, $this->rules, $this->themes, $this->level, $this->note);
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This combination is not stored yet.');
    }

    public function version(): int
    {
        return $this->version;
    }

    public function fingerprintWithEffort(): string
    {
        return $this->fingerprintWithEffort;
    }

    public function author(): User
    {
        return $this->author;
    }

    /** @return array<string, mixed> as the API sends it, without what the check computes anew */
    public function toArray(): array
    {
        return [
            'id' => $this->id(),
            'version' => $this->version,
            ...$this->content()->toArray(),
            'verdict' => $this->verdict->value,
            'lengthMs' => $this->lengthMs,
            'author' => ['id' => $this->author->id(), 'name' => $this->author->name()],
            'editor' => ['id' => $this->editor->id(), 'name' => $this->editor->name()],
            'createdAt' => $this->createdAt->format(\DATE_ATOM),
            'updatedAt' => $this->updatedAt->format(\DATE_ATOM),
            'archivedAt' => $this->archivedAt?->format(\DATE_ATOM),
        ];
    }
}
