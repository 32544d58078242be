<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Numbering\NumberingRequest;
use Symfony\Component\Validator\Constraints as Assert;

/** A numbering of another gym. */
final readonly class OfferedNumbering implements OfferedThing
{
    public function __construct(
        #[Assert\Regex('/^[a-z0-9-]{1,40}$/D', message: 'A numbering is known by small letters and digits.')]
        public string $item,
        #[Assert\Valid]
        public NumberingRequest $numbering,
    ) {
    }

    public function kind(): OfferKind
    {
        return OfferKind::Numbering;
    }

    public function item(): string
    {
        return $this->item;
    }

    public function name(): string
    {
        return $this->numbering->name;
    }

    public function digest(): string
    {
        return Digest::of($this->numbering->content());
    }
}
