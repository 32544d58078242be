<?php

declare(strict_types=1);

namespace Periplus\App\Words;

use Periplus\Core\Notation\Glue;
use Symfony\Component\Validator\Constraints as Assert;

/** What the gym changes of the words that are passed over. */
final readonly class WordsRequest
{
    /**
     * @param list<string> $own words and phrases of the gym
     * @param list<string> $kept words that ship, and are not passed over here
     */
    public function __construct(
        #[Assert\Count(max: 300, maxMessage: 'At most {{ limit }} words of your own.')]
        #[Assert\All([new Assert\Type('string'), new Assert\Length(max: 80)])]
        public array $own,
        #[Assert\Count(max: 1000, maxMessage: 'At most {{ limit }} words.')]
        #[Assert\All([new Assert\Type('string'), new Assert\Length(max: 80)])]
        public array $kept,
    ) {
    }

    public function glue(): Glue
    {
        $own = array_values(array_unique(array_map(Glue::normalized(...), $this->own)));
        $shipped = Glue::shipped();

        return new Glue(
            array_values(array_filter($own, static fn (string $phrase): bool => !isset($shipped[$phrase]))),
            array_values(array_intersect(array_unique($this->kept), array_keys($shipped))),
        );
    }
}
