<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Technique\Stance;
use Symfony\Component\Validator\Constraints as Assert;

/** A card to be made. */
final readonly class CardRequest
{
    public const MAX_COMBINATIONS = 20;

    /** @param list<int> $combinations of the library, in their order */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the card a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Count(
            min: 1,
            max: self::MAX_COMBINATIONS,
            minMessage: 'Choose at least one combination.',
            maxMessage: 'At most {{ limit }} combinations on a card.',
        )]
        #[Assert\All([new Assert\Type('int', message: 'Give each combination by its id.')])]
        public array $combinations,
        public Stance $stance = Stance::Orthodox,
        public string $numbering = 'parity',
        public Group $group = Group::Open,
    ) {
    }
}
