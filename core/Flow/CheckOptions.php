<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

use Periplus\Core\Notation\Scheme;
use Periplus\Core\Technique\Stance;

/** How a text is to be read and checked. */
final readonly class CheckOptions
{
    public function __construct(
        public Stance $stance = Stance::Orthodox,
        public Stance $opponent = Stance::Orthodox,
        public string $rules = 'all-limbs',
        public string $scheme = 'parity',
        public float $tempo = 1.0,
        public Medium $medium = Medium::Shadow,
        public Group $group = Group::Open,
    ) {
    }

    /** @throws \DomainException|\OutOfBoundsException when the rules or the tempo are not to be had */
    public function circumstances(): Circumstances
    {
        return new Circumstances(HouseRules::named($this->rules), $this->tempo, $this->medium, $this->group);
    }

    /** @throws \OutOfBoundsException */
    public function scheme(): Scheme
    {
        return Scheme::named($this->scheme);
    }
}
