<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Symfony\Component\Validator\Constraints as Assert;

/** A new link to this gym's offers. */
final readonly class OfferLinkRequest
{
    public function __construct(
        #[Assert\NotBlank(message: 'Say who the link is for.', normalizer: 'trim')]
        #[Assert\Length(max: 80, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
    ) {
    }
}
