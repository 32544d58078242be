<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;

/** The work on one combination as stored: whole ms, and thousandths for everything else. */
#[ORM\Embeddable]
final readonly class DrilledRow
{
    /**
     * @param int|null $combination id of the library; null for free work
     * @param string|null $notation the combination in parity numbering
     * @param string|null $thrown the chain that was thrown: the combination, or a part of it
     * @param int|null $level that did it; null for everybody
     * @param int $ms of work, of it $otherMs in the stance that is not the athlete's own
     * @param float $repetitions of the chain
     * @param float $strikes of the athlete's choice, where no chain is thrown
     */
    public function __construct(
        #[ORM\Column(name: 'combination_id', nullable: true)]
        public ?int $combination,
        #[ORM\Column(length: 120)]
        public string $name,
        #[ORM\Column(length: 4000, nullable: true)]
        public ?string $notation,
        #[ORM\Column(length: 10, enumType: Stance::class)]
        public Stance $stance,
        #[ORM\Column(length: 4000, nullable: true)]
        public ?string $thrown,
        #[ORM\Column(length: 16, enumType: Medium::class)]
        public Medium $medium,
        #[ORM\Column(type: 'smallint', nullable: true)]
        public ?int $level,
        #[ORM\Column]
        public int $ms,
        #[ORM\Column]
        public int $otherMs,
        #[ORM\Column]
        public float $repetitions,
        #[ORM\Column]
        public float $strikes,
    ) {
    }

    /** Returns a key by which links of the same chain in the same stance are found. */
    public function chainKey(): string
    {
        return $this->stance->value.' '.$this->notation;
    }
}
