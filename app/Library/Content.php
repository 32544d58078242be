<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Periplus\Core\Technique\Stance;

/** What a coach writes of a combination: everything that a version keeps. */
final readonly class Content
{
    /** @param list<string> $themes */
    public function __construct(
        public string $name,
        public string $notation,
        public Stance $stance,
        public string $rules,
        public array $themes,
        public int $level,
        public string $note,
    ) {
    }

    private const WORDS = ['name' => 'name', 'notation' => 'chain', 'stance' => 'stance', 'rules' => 'rules', 'themes' => 'themes', 'level' => 'level', 'note' => 'note'];

    /** @return list<string> the names of what differs from another */
    public function differencesFrom(self $other): array
    {
        return array_values(array_filter(self::WORDS, fn (string $word, string $name): bool => $this->{$name} !== $other->{$name}, \ARRAY_FILTER_USE_BOTH));
    }

    /**
     * This with some of it as in another.
     *
     * @param list<string> $differences as {@see differencesFrom} names them
     */
    public function with(self $other, array $differences): self
    {
        $from = fn (string $name): self => \in_array(self::WORDS[$name], $differences, true) ? $other : $this;

        return new self($from('name')->name, $from('notation')->notation, $from('stance')->stance, $from('rules')->rules, $from('themes')->themes, $from('level')->level, $from('note')->note);
    }

    /** @return array{name: string, notation: string, stance: string, rules: string, themes: list<string>, level: int, note: string} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'notation' => $this->notation, 'stance' => $this->stance->value, 'rules' => $this->rules, 'themes' => $this->themes, 'level' => $this->level, 'note' => $this->note];
    }
}
