<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Combination\Sequence;

/**
 * A pattern for one item: any of several codes (see {@see Sequence}), delivered or feinted.
 */
final readonly class ItemPattern
{
    private const THROWN = '[=^]?[!<|]?';
    private const FEINTED = '[=^]?~[!<|]?';

    /**
     * @param list<string> $bodies codes; {@see Sequence::CHOICE} alone for every choice
     * @param string $says in words, such as "a lead hook to the body"
     */
    public function __construct(private array $bodies, private bool $feint, public string $says)
    {
    }

    /** @return list<string> the items that match, without the marks for joined, leg up and landing */
    public function items(): array
    {
        return array_map(fn (string $body): string => ($this->feint ? '~' : '').$body, $this->bodies);
    }

    public function matches(string $item): bool
    {
        $body = ltrim($item, Sequence::PREFIXES);
        $body = str_starts_with($body, Sequence::CHOICE) ? Sequence::CHOICE : $body;

        return $this->feint === str_contains($item, '~') && \in_array($body, $this->bodies, true);
    }

    /** Returns a regular expression over bytes, to be matched where an item starts. */
    public function pattern(): string
    {
        $bodies = implode('|', array_map(static fn (string $body): string => Sequence::CHOICE === $body
                ? Sequence::CHOICE_PATTERN
                : preg_quote($body, '/'), $this->bodies));

        return ($this->feint ? self::FEINTED : self::THROWN).'(?:'.$bodies.')';
    }
}
