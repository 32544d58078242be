<?php

declare(strict_types=1);

namespace Periplus\App\Logbook;

use Doctrine\ORM\Mapping as ORM;
use Periplus\Core\Technique\Stance;

/**
 * A link that fell apart, given by its chain in parity numbering and the index of its first item, with the fault that
 * was seen, in the words of the gym.
 */
#[ORM\Embeddable]
final readonly class FallenLink
{
    public const MAX_FAULT = 60;

    public function __construct(
        #[ORM\Column(length: 4000)]
        public string $notation,
        #[ORM\Column(length: 10, enumType: Stance::class)]
        public Stance $stance,
        #[ORM\Column(type: 'smallint')]
        public int $link,
        #[ORM\Column(length: self::MAX_FAULT, nullable: true)]
        public ?string $fault = null,
    ) {
    }

    public function chainKey(): string
    {
        return $this->stance->value.' '.$this->notation;
    }
}
