<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Combination\Combination;
use Periplus\App\Store\Instant;
use Periplus\Core\Measure\LinkMeasurement;
use Periplus\Core\Measure\MeasuredLink;
use Periplus\Core\Measure\MeasuredVerdict;
use Periplus\Core\Measure\Measurement;
use Periplus\Core\Technique\Stance;

/** A stored measurement of a combination; the athlete is not named. */
#[ORM\Entity(repositoryClass: Measurements::class)]
#[ORM\Table(name: 'measurement')]
#[ORM\UniqueConstraint(name: 'by_measurement_key', columns: ['measurement_key'])]
#[ORM\Index(name: 'by_combination', columns: ['combination_id', 'removed_at'])]
#[ORM\Index(name: 'by_coach', columns: ['coach_id'])]
class KeptMeasurement implements \JsonSerializable
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** The chain at the time of the measurement. */
    #[ORM\Column(length: 4000)]
    private string $notation;

    #[ORM\Column(length: 10, enumType: Stance::class)]
    private Stance $stance;

    /** @var list<float> ms */
    #[ORM\Column]
    private array $taps;

    /** The athlete's time as a multiple of the computed time. */
    #[ORM\Column]
    private float $pace;

    /**
     * @var list<array{
     *     from: int,
     *     to: int,
     *     computed: float,
     *     median: float|null,
     *     spread: float|null,
     *     count: int,
     *     verdict: string,
     *     says: string,
     * }>
     */
    #[ORM\Column]
    private array $links;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $removedAt = null;

    public function __construct(
        #[ORM\Column(name: 'measurement_key', length: 64)]
        private string $key,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private Combination $combination,
        Measurement $measured,
        #[ORM\Column(length: 10)]
        private string $method,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $coach,
        #[ORM\Column]
        private \DateTimeImmutable $createdAt,
    ) {
        $content = $combination->content();
        $this->notation = $content->notation;
        $this->stance = $content->stance;
        $this->taps = $measured->taps;
        $this->pace = round($measured->pace, 3);
        $this->links = array_map(
            static fn (MeasuredLink $link): array => [
                ...(array) new LinkMeasurement($link),
                'verdict' => $link->verdict()->value,
            ],
            $measured->links,
        );
    }

    public function id(): int
    {
        return $this->id ?? throw new \LogicException('This measurement is not stored yet.');
    }

    public function combination(): int
    {
        return $this->combination->id();
    }

    /** @return list<KeptLink> */
    public function links(): array
    {
        return array_map(
            static fn (array $link): KeptLink => new KeptLink(...[
                ...$link,
                'verdict' => MeasuredVerdict::from($link['verdict']),
            ]),
            $this->links,
        );
    }

    public function remove(\DateTimeImmutable $now): void
    {
        $this->removedAt = $now;
    }

    public function restore(): void
    {
        $this->removedAt = null;
    }

    public function jsonSerialize(): ShownMeasurement
    {
        return new ShownMeasurement(
            id: $this->id(),
            combination: $this->combination(),
            method: $this->method,
            pace: $this->pace,
            links: $this->links(),
            taps: $this->taps,
            coach: $this->coach->name(),
            createdAt: new Instant($this->createdAt),
            removed: null !== $this->removedAt,
        );
    }
}
