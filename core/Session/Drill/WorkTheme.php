<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

/** A theme of free work: one whose combinations are found by what is in them, or a word of the gym's library. */
final readonly class WorkTheme
{
    private function __construct(public string $title, private ?MinuteTheme $known)
    {
    }

    /** @param string $word the id or the title of a known theme, or the gym's own word */
    public static function named(string $word): self
    {
        $word = trim($word);
        foreach (MinuteTheme::cases() as $theme) {
            if ($word === $theme->value || mb_strtolower($word) === $theme->title()) {
                return new self($theme->title(), $theme);
            }
        }

        return new self($word, null);
    }

    public function isOwn(): bool
    {
        return null === $this->known;
    }

    public function holds(PlannedCombination $combination): bool
    {
        return null === $this->known
            ? \in_array(mb_strtolower($this->title), array_map(mb_strtolower(...), $combination->themes), true)
            : $this->known->holds($combination->inStance->chain);
    }
}
