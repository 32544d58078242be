<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * A chain with a name, a starting stance and its place in the library. The chain is stored by role in parity notation;
 * the result of its check is stored for filters and computed again at every save.
 */
#[ORM\Entity(repositoryClass: Combinations::class)]
#[ORM\Table(name: 'combination')]
#[ORM\Index(name: 'by_name', columns: ['archived_at', 'name'])]
#[ORM\Index(name: 'by_level', columns: ['archived_at', 'level', 'id'])]
#[ORM\Index(name: 'by_length', columns: ['archived_at', 'length_ms', 'id'])]
#[ORM\Index(name: 'by_updated', columns: ['archived_at', 'updated_at', 'id'])]
#[ORM\Index(name: 'by_drilled', columns: ['archived_at', 'drilled_at', 'id'])]
#[ORM\Index(name: 'by_rules', columns: ['rules', 'id'])]
#[ORM\Index(name: 'by_sequence', columns: ['sequence'])]
#[ORM\Index(name: 'by_stem', columns: ['stem'])]
#[ORM\Index(
    name: 'scan',
    columns: [
        'archived_at',
        'rules',
        'verdict',
        'level',
        'stance',
        'strikes',
        'weapons',
        'contacts',
        'author_id',
        'drilled_at',
        'sequence',
    ],
)]
#[ORM\UniqueConstraint(name: 'once', columns: ['in_use'])]
class Combination implements Versioned
{
    use HasVersion;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

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

    /** Whether a coach chose the level; otherwise it follows the check. Null for old rows until gym:recheck has run. */
    #[ORM\Column(nullable: true)]
    private ?bool $levelChosen;

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

    /** The limbs that land, as ",hand,leg,". */
    #[ORM\Column(length: 40)]
    private string $weapons;

    /** The chain for search and similarity, see {@see Sequence}. */
    #[ORM\Column(type: SequenceType::NAME, length: 384)]
    private string $sequence;

    /** The key of families, see {@see \Periplus\Core\Similarity\Family::stem}. */
    #[ORM\Column(type: SequenceType::NAME, length: 384)]
    private string $stem;

    #[ORM\Column(type: 'smallint')]
    private int $strikes;

    /** The parts of an orthodox opponent that are reached, as ",liver,". */
    #[ORM\Column(length: 120)]
    private string $contacts;

    /** The fingerprint with effort while the combination is in use; a unique key prevents duplicates. */
    #[ORM\Column(length: 32, nullable: true)]
    private ?string $inUse;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $drilledAt = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private User $editor;

    #[ORM\Column]
    private \DateTimeImmutable $updatedAt;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $archivedAt = null;

    // No property is readonly, because Doctrine refreshes a combination when it is locked for a write.
    public function __construct(
        CombinationContent $content,
        CheckSummary $checked,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $author,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $this->write($content, $checked, $author, $createdAt);
    }

    public function write(
        CombinationContent $content,
        CheckSummary $checked,
        User $editor,
        \DateTimeImmutable $now,
    ): void {
        $content = $content->settled($checked);
        $this->name = $content->name;
        $this->notation = $content->notation;
        $this->stance = $content->stance;
        $this->rules = $content->rules;
        $this->themes = $content->themes;
        $this->level = $content->level;
        $this->levelChosen = $content->levelChosen;
        $this->note = $content->note;
        $this->fingerprint = $checked->fingerprint->plain;
        $this->fingerprintWithEffort = $checked->fingerprint->withEffort;
        $this->verdict = $checked->verdict;
        $this->lengthMs = $checked->lengthMs;
        $this->weapons = $checked->weapons;
        $this->sequence = $checked->sequence;
        $this->stem = $checked->stem;
        $this->strikes = $checked->strikes;
        $this->contacts = $checked->contacts;
        $this->inUse = null === $this->archivedAt ? $this->fingerprintWithEffort : null;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function archive(\DateTimeImmutable $now): void
    {
        $this->archivedAt ??= $now;
        $this->inUse = null;
    }

    public function restore(): void
    {
        $this->archivedAt = null;
        $this->inUse = $this->fingerprintWithEffort;
    }

    public function content(): CombinationContent
    {
        return new CombinationContent(
            name: $this->name,
            notation: $this->notation,
            stance: $this->stance,
            rules: $this->rules,
            themes: $this->themes,
            level: $this->level,
            note: $this->note,
            levelChosen: $this->levelChosen,
        );
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This combination is not stored yet.');
    }

    public function fingerprintWithEffort(): string
    {
        return $this->fingerprintWithEffort;
    }

    public function sequence(): Sequence
    {
        return Sequence::read($this->sequence);
    }

    public function isInUse(): bool
    {
        return null === $this->archivedAt;
    }

    public function author(): User
    {
        return $this->author;
    }

    public function changedMeanwhile(): string
    {
        return t(
            '{editor} changed this combination meanwhile. Nothing was overwritten; look at the newest and save again.',
            editor: $this->editor->name(),
        );
    }

    public function summary(): CombinationSummary
    {
        return new CombinationSummary(
            id: $this->id(),
            version: $this->version,
            content: $this->content(),
            verdict: $this->verdict,
            lengthMs: $this->lengthMs,
            fingerprintWithEffort: $this->fingerprintWithEffort,
            author: $this->author->person(),
            editor: $this->editor->person(),
            createdAt: $this->createdAt,
            updatedAt: $this->updatedAt,
            archivedAt: $this->archivedAt,
            drilledOn: $this->drilledAt?->format('Y-m-d'),
        );
    }
}
