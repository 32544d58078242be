<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Combination\Sort;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Technique\Limb;
use Symfony\Component\Validator\Constraints as Assert;

/** Which combinations are asked for; every member can stand in the address. */
final readonly class SearchRequest
{
    /** Longest search in characters. */
    public const LONGEST = 300;

    public function __construct(
        #[Assert\Length(max: self::LONGEST, maxMessage: 'Search for at most {{ limit }} characters.')]
        public string $q = '',
        public ?Limb $weapon = null,
        public ?Verdict $verdict = null,
        #[Assert\Choice(callback: [BuiltInHouseRules::class, 'ids'], message: 'The rules are boxing, kickboxing or all-limbs.')]
        public ?string $rules = null,
        #[Assert\Range(min: 1, max: 3, notInRangeMessage: 'The level is 1, 2 or 3.')]
        public ?int $level = null,
        public bool $archived = false,
        #[Assert\Choice(callback: [Sort::class, 'names'], message: 'Sort by name, level, length or updated.')]
        public string $sort = 'name',
        #[Assert\Choice(choices: ['up', 'down'], message: 'Sort up or down.')]
        public string $direction = 'up',
        #[Assert\Range(min: 1, max: 100_000, notInRangeMessage: 'There is no such page.')]
        public int $page = 1,
        #[Assert\Range(min: 1, max: 100, notInRangeMessage: 'A page has {{ min }} to {{ max }} rows.')]
        public int $size = 50,
    ) {
    }

    /** Whether no filter is set. */
    public function isWhole(): bool
    {
        return null === $this->weapon && null === $this->verdict && null === $this->rules && null === $this->level && !$this->archived;
    }

    /** The same without one of its filters. */
    public function without(string $filter): self
    {
        return new self(
            $this->q,
            'weapon' === $filter ? null : $this->weapon,
            'verdict' === $filter ? null : $this->verdict,
            'rules' === $filter ? null : $this->rules,
            'level' === $filter ? null : $this->level,
            $this->archived,
        );
    }
}
