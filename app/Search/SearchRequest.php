<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Combination\Sort;
use Symfony\Component\Validator\Constraints as Assert;

/** A request for a list of combinations; every field can be a query parameter. */
final readonly class SearchRequest
{
    /** Maximum length of a search, in characters. */
    public const MAX_LENGTH = 300;

    public function __construct(
        #[Assert\Length(max: self::MAX_LENGTH, maxMessage: 'Search for at most {{ limit }} characters.')]
        public string $q = '',
        #[Assert\Regex(
            '/\A(?:(?:hand|elbow|leg|knee)(?:,(?!\z)|\z)){0,4}\z/',
            message: 'Weapons are hand, elbow, leg and knee, with commas between.',
        )]
        public string $weapon = '',
        #[Assert\Regex(
            '/\A(?:(?:flows|reload|breaks)(?:,(?!\z)|\z)){0,3}\z/',
            message: 'Verdicts are flows, reload and breaks, with commas between.',
        )]
        public string $verdict = '',
        #[Assert\Regex(
            '/\A(?:(?:boxing|kickboxing|all-limbs)(?:,(?!\z)|\z)){0,3}\z/',
            message: 'The rules are boxing, kickboxing or all-limbs, with commas between.',
        )]
        public string $rules = '',
        #[Assert\Regex('/\A(?:[123](?:,(?!\z)|\z)){0,3}\z/', message: 'Levels are 1, 2 and 3, with commas between.')]
        public string $level = '',
        /** Only these ids, such as "4,17,3". */
        #[Assert\Regex(
            '/\A(?:\d{1,9}(?:,(?!\z)|\z)){0,200}\z/',
            message: 'Ids are numbers, with commas between, at most 200.',
        )]
        public string $ids = '',
        public bool $archived = false,
        /** Whether combinations whose name or chain starts with the text come first; for pick lists. */
        public bool $closest = false,
        #[Assert\Choice(callback: [Sort::class, 'names'], message: 'Sort by name, level, length, updated or drilled.')]
        public string $sort = 'name',
        #[Assert\Choice(choices: ['up', 'down'], message: 'Sort by up or down.')]
        public string $direction = 'up',
        #[Assert\Range(min: 1, max: 100_000, notInRangeMessage: 'There is no such page.')]
        public int $page = 1,
        #[Assert\Range(min: 1, max: 100, notInRangeMessage: 'A page has {{ min }} to {{ max }} rows.')]
        public int $size = 50,
    ) {
    }

    /** Tells whether no filter is set. */
    public function isWhole(): bool
    {
        return '' === $this->weapon.$this->verdict.$this->rules.$this->level.$this->ids && !$this->archived;
    }

    /** @return array<string, string> the filters that are set, by name, of several values each */
    public function filters(): array
    {
        return array_filter(
            ['weapon' => $this->weapon, 'verdict' => $this->verdict, 'rules' => $this->rules, 'level' => $this->level],
            static fn (string $values): bool => '' !== $values,
        );
    }

    /**
     * Returns the same request for these ids only.
     *
     * @param list<int> $ids
     */
    public function among(array $ids): self
    {
        return new self(
            q: $this->q,
            weapon: $this->weapon,
            verdict: $this->verdict,
            rules: $this->rules,
            level: $this->level,
            ids: implode(',', $ids),
            archived: $this->archived,
        );
    }

    /** Returns the same request without one of its filters. */
    public function without(string $filter): self
    {
        return new self(
            q: $this->q,
            weapon: 'weapon' === $filter ? '' : $this->weapon,
            verdict: 'verdict' === $filter ? '' : $this->verdict,
            rules: 'rules' === $filter ? '' : $this->rules,
            level: 'level' === $filter ? '' : $this->level,
            ids: $this->ids,
            archived: $this->archived,
        );
    }
}
