<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Path;

/** The links and weapons that somebody knows. */
final readonly class Known
{
    /**
     * @param array<string, true> $links
     * @param array<string, true> $weapons
     */
    public function __construct(public array $links = [], public array $weapons = [])
    {
    }

    public function isEmpty(): bool
    {
        return [] === $this->links && [] === $this->weapons;
    }

    public function and(Stage $stage): self
    {
        return new self($this->links + $stage->links, $this->weapons + $stage->weapons);
    }

    /** Returns a key that is equal for the same knowledge. */
    public function key(): string
    {
        $links = array_keys($this->links);
        $weapons = array_keys($this->weapons);
        sort($links);
        sort($weapons);

        return implode("\n", $links)."\t".implode("\n", $weapons);
    }
}
