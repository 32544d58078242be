<?php

declare(strict_types=1);

namespace Periplus\App\AtHome;

use Symfony\Component\Validator\Constraints as Assert;

/** A link to be made: to a plan, or to a card or combinations that are repeated one after the other. */
final readonly class SessionLinkRequest
{
    public const MAX_COMBINATIONS = 20;

    /**
     * @param list<int> $combinations of the library, in their order; where there is no plan and no card
     * @param string $endsOn last day on which it opens, such as 2026-12-29
     */
    public function __construct(
        #[Assert\NotBlank(message: 'Give the link a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $name,
        #[Assert\Regex('/^\d{4}-\d\d-\d\d$/D', message: 'A day is written as 2026-11-26.')]
        public string $endsOn,
        public ?int $plan = null,
        public ?int $card = null,
        #[Assert\Count(max: self::MAX_COMBINATIONS, maxMessage: 'At most {{ limit }} combinations.')]
        #[Assert\All([new Assert\Type('int', message: 'Give each combination by its id.')])]
        public array $combinations = [],
    ) {
    }
}
