<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Symfony\Component\Validator\Constraints as Assert;

/** Whether something of this gym is offered to others. */
final readonly class OfferingRequest
{
    /** @param string $subject id of a combination, course or numbering, a theme, or a sport of the house rules */
    public function __construct(
        public OfferKind $kind,
        #[Assert\NotBlank(message: 'Say what is offered.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'A theme has at most {{ limit }} characters.')]
        public string $subject,
        public bool $isOffered = true,
    ) {
    }
}
