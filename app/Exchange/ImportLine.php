<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Combination\CombinationContent;

/**
 * An entry of an imported file. {@see ImportLines} stores them in bulk; because there are thousands, a changed one is
 * persisted explicitly.
 */
#[ORM\Entity]
#[ORM\ChangeTrackingPolicy('DEFERRED_EXPLICIT')]
#[ORM\Table(name: 'import_line')]
#[ORM\Index(name: 'by_kind', columns: ['import_id', 'kind', 'line'])]
#[ORM\Index(name: 'by_fingerprint', columns: ['import_id', 'fingerprint'])]
class ImportLine
{
    #[ORM\Column(length: 12, enumType: LineKind::class)]
    private LineKind $kind = LineKind::Waiting;

    /**
     * @var array<string, mixed>|null an {@see ImportEntry} that was not read, or what came of it: whether it is
     *                                archived, and its content
     */
    #[ORM\Column(nullable: true)]
    private ?array $content;

    /** Includes effort. */
    #[ORM\Column(length: 32, nullable: true)]
    private ?string $fingerprint = null;

    #[ORM\Column(type: 'text', length: 65_535)]
    private string $message;

    #[ORM\Column(name: 'combination_id', nullable: true)]
    private ?int $combination = null;

    #[ORM\Column(nullable: true)]
    private ?int $combinationVersion = null;

    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private ImportRun $import,
        #[ORM\Id, ORM\Column(name: 'line')]
        private int $number,
        #[ORM\Column(type: 'text', length: 65_535)]
        private string $source,
        ImportEntry $entry,
    ) {
        $this->content = (array) $entry->stored();
        $this->message = $entry->problem;
    }

    public function number(): int
    {
        return $this->number;
    }

    public function kind(): LineKind
    {
        return $this->kind;
    }

    public function source(): string
    {
        return $this->source;
    }

    public function message(): string
    {
        return $this->message;
    }

    /** Returns the entry from the file; null once it was read. */
    public function entry(): ?ImportEntry
    {
        return null === $this->content || isset($this->content['content'])
            ? null
            : ImportEntry::of($this->content, $this->message);
    }

    /** Returns what would be stored; null when it could not be read. */
    public function content(): ?CombinationContent
    {
        /**
         * @var array{
         *     name: string,
         *     notation: string,
         *     stance: string,
         *     rules: string,
         *     themes: list<string>,
         *     level: int,
         *     note: string,
         *     levelChosen?: bool|null,
         * }|null $content
         */
        $content = $this->content['content'] ?? null;

        return null === $content ? null : CombinationContent::of($content);
    }

    public function isArchived(): bool
    {
        return true === ($this->content['archived'] ?? null);
    }

    public function combination(): ?int
    {
        return $this->combination;
    }

    public function version(): ?int
    {
        return $this->combinationVersion;
    }

    public function leaveOut(): void
    {
        $this->kind = LineKind::LeftOut;
        $this->message = '';
        $this->fingerprint = '';
    }

    /** Replaces the entry, to be read again; meanwhile it does not count as a duplicate of itself. */
    public function replace(ImportEntry $entry): void
    {
        $this->content = (array) $entry->stored();
        $this->message = '';
        $this->fingerprint = '';
        $this->kind = LineKind::Waiting;
    }
}
