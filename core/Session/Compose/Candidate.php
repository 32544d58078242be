<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Compose;

use Periplus\Core\Combination\ChainInStance;

/** A combination of the library that may be chosen for a session. */
final readonly class Candidate
{
    /**
     * @param string $text in the numbering of the plan
     * @param list<string> $themes
     * @param int $times in how many sessions of the course it was
     * @param int|null $overdue days past the day on which it comes due again; below zero before it, null when that is
     *                          not known
     * @param string|null $last day on which it was, such as 2026-11-26; null when never
     */
    public function __construct(
        public int $id,
        public int $version,
        public string $name,
        public string $text,
        public ChainInStance $inStance,
        public int $level,
        public array $themes = [],
        public int $times = 0,
        public ?string $last = null,
        public ?int $overdue = null,
    ) {
    }

    /**
     * Returns the rank by due date: overdue combinations, the longest first; then those never drilled; then the rest.
     */
    public function turn(): int
    {
        return match (true) {
            null !== $this->overdue && $this->overdue >= 0 => -1 - $this->overdue,
            0 === $this->times => 0,
            default => 1,
        };
    }

    /** @return list<string> its links, by what they join */
    public function links(): array
    {
        return $this->inStance->chain->links();
    }

    /** @return array{chain: string, stance: string, name: string, id: int, version: int} as a plan writes it */
    public function written(): array
    {
        return [
            'chain' => $this->text,
            'stance' => $this->inStance->stance->value,
            'name' => $this->name,
            'id' => $this->id,
            'version' => $this->version,
        ];
    }
}
