<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Symfony\Component\Validator\Constraints as Assert;

/** The link that another gym gave. */
final readonly class FollowRequest
{
    public function __construct(
        #[Assert\Length(max: 190, maxMessage: 'An address has at most {{ limit }} characters.')]
        #[Assert\Regex(
            '~^https?://[A-Za-z0-9.:\[\]-]+/api/shared-offers/[0-9a-f]{32}$~D',
            message: 'This is not a link to offers. It looks like https://gym.example/api/shared-offers/… and comes '
                .'from the other gym.',
        )]
        public string $address,
    ) {
    }
}
