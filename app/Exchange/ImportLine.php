<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Combination\CombinationContent;

/**
 * One entry of a file that is imported, in the order of the file. Stored many at a time, by {@see ImportLines}; as
 * there are thousands, one that has changed is persisted explicitly.
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

    /** With effort. */
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
        $this->content = $entry->toArray();
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

    /** The entry as the file has it; null once it was read. */
    public function entry(): ?ImportEntry
    {
        return null === $this->content || isset($this->content['content'])
            ? null
            : ImportEntry::of($this->content, $this->message);
    }

    /** What would be stored; null for what was not read. */
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

    /** Another entry in its place, to be read anew; it is no duplicate of itself meanwhile. */
    public function replace(ImportEntry $entry): void
    {
        $this->content = $entry->toArray();
        $this->message = '';
        $this->fingerprint = '';
        $this->kind = LineKind::Waiting;
    }
}
