<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Combination\Combination;
use Periplus\App\Store\Instant;
use Periplus\Core\Technique\Catalogue;

/**
 * A coach's own video or sound of a combination or of a technique; there is one of each at most. Its file is in the
 * {@see RecordingFolder}.
 */
#[ORM\Entity(repositoryClass: Recordings::class)]
#[ORM\Table(name: 'recording')]
#[ORM\UniqueConstraint(name: 'by_combination', columns: ['combination_id'])]
#[ORM\UniqueConstraint(name: 'by_technique', columns: ['technique'])]
#[ORM\Index(name: 'by_coach', columns: ['coach_id'])]
class Recording
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 8, enumType: RecordingFormat::class)]
    private RecordingFormat $format;

    #[ORM\Column(length: 8, enumType: RecordingKind::class)]
    private RecordingKind $kind;

    #[ORM\Column]
    private int $lengthMs;

    /** The chain of the combination on the day of the recording; null for a technique. */
    #[ORM\Column(type: 'text', length: 4000, nullable: true)]
    private ?string $notation;

    /**
     * @param string|null $technique id of a strike or a move, where it shows no combination
     * @param string $fileName its name in the folder
     */
    public function __construct(
        #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private ?Combination $combination,
        #[ORM\Column(length: 40, nullable: true)]
        private ?string $technique,
        #[ORM\Column(length: 73, options: ['fixed' => true])]
        private string $fileName,
        #[ORM\Column]
        private int $bytes,
        RecordedFile $file,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $coach,
        #[ORM\Column]
        private \DateTimeImmutable $recordedAt,
    ) {
        $this->notation = $combination?->content()->notation;
        $this->format = $file->format;
        $this->kind = $file->kind;
        $this->lengthMs = $file->lengthMs;
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This recording is not stored yet.');
    }

    public function fileName(): string
    {
        return $this->fileName;
    }

    public function bytes(): int
    {
        return $this->bytes;
    }

    public function isOfTechnique(): bool
    {
        return null !== $this->technique;
    }

    /**
     * Returns where the technique that it shows stands among others; -1 when it shows a whole combination.
     *
     * @param list<string> $techniques
     */
    public function placeIn(array $techniques): int
    {
        return null === $this->technique ? -1 : (int) array_search($this->technique, $techniques, true);
    }

    public function coach(): User
    {
        return $this->coach;
    }

    /** Tells whether the combination has changed since, so that it shows another one. */
    public function isOutdated(): bool
    {
        return $this->notation !== $this->combination?->content()->notation;
    }

    public function mediaType(): string
    {
        return $this->format->mediaType($this->kind);
    }

    /** Returns the name of what it shows, such as "Ladder" or "lead hook". */
    public function subject(): string
    {
        return $this->combination?->content()->name ?? self::nameOf((string) $this->technique);
    }

    /**
     * Returns it as coaches see it.
     *
     * @param bool $isThere whether its file is there
     * @param bool $mayChange whether that coach may replace and delete it
     */
    public function shown(bool $isThere, bool $mayChange): ShownRecording
    {
        return new ShownRecording(
            id: $this->id(),
            combination: $this->combination?->id(),
            technique: $this->technique,
            subject: $this->subject(),
            kind: $this->kind,
            mediaType: $this->mediaType(),
            bytes: $this->bytes,
            lengthMs: $this->lengthMs,
            coach: $this->coach->name(),
            recordedAt: new Instant($this->recordedAt),
            isThere: $isThere,
            isOutdated: $this->isOutdated(),
            mayChange: $mayChange,
        );
    }

    /** Returns it as screens and phones play it. */
    public function played(): PlayedRecording
    {
        return new PlayedRecording(
            $this->id(),
            $this->fileName,
            $this->kind,
            $this->mediaType(),
            $this->lengthMs,
            null === $this->technique ? null : $this->subject(),
        );
    }

    /** Returns the name of a strike or a move; its id when there is no such one any more. */
    private static function nameOf(string $technique): string
    {
        $catalogue = Catalogue::builtIn();

        return ($catalogue->strikes[$technique] ?? null)->name
            ?? ($catalogue->moves[$technique] ?? null)?->words()
            ?? $technique;
    }
}
