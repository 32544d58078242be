<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Symfony\Component\Validator\Constraints as Assert;

/** Everything that a gym offers, as other gyms read it; see docs/formats/offers.md. */
final readonly class OfferDocument
{
    public const FORMAT = 'periplus-offers';
    public const MAX_COMBINATIONS = 500;
    /** Maximum number of courses, and of numberings. */
    public const MAX_OTHERS = 20;

    /**
     * @param string $gym name of the gym
     * @param list<OfferedCombination> $combinations
     * @param list<OfferedCourse> $courses
     * @param list<OfferedNumbering> $numberings
     * @param list<OfferedHouseRules> $houseRules
     */
    public function __construct(
        #[Assert\EqualTo(self::FORMAT, message: 'These are not the offers of a gym.')]
        public string $format = '',
        #[Assert\EqualTo(1, message: 'These offers are from a newer version of Periplus.')]
        public int $version = 1,
        #[Assert\NotBlank(message: 'A gym has a name.', normalizer: 'trim')]
        #[Assert\Length(max: 120, maxMessage: 'A name has at most {{ limit }} characters.')]
        public string $gym = '',
        #[Assert\Valid]
        #[Assert\Count(max: self::MAX_COMBINATIONS, maxMessage: 'A gym offers at most {{ limit }} combinations.')]
        public array $combinations = [],
        #[Assert\Valid]
        #[Assert\Count(max: self::MAX_OTHERS, maxMessage: 'A gym offers at most {{ limit }} courses.')]
        public array $courses = [],
        #[Assert\Valid]
        #[Assert\Count(max: self::MAX_OTHERS, maxMessage: 'A gym offers at most {{ limit }} numberings.')]
        public array $numberings = [],
        #[Assert\Valid]
        #[Assert\Count(max: self::MAX_OTHERS, maxMessage: 'There are {{ limit }} sets of house rules at most.')]
        public array $houseRules = [],
    ) {
    }

    /** @return list<OfferedThing> in the order in which they are listed */
    public function things(): array
    {
        return [...$this->combinations, ...$this->courses, ...$this->numberings, ...$this->houseRules];
    }
}
