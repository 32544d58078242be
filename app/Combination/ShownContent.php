<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\Core\Technique\Stance;

/** The content of a combination with its chain in the coach's numbering. */
readonly class ShownContent
{
    public string $name;
    /** In parity numbering. */
    public string $notation;
    public Stance $stance;
    public string $rules;
    /** @var list<string> */
    public array $themes;
    public int $level;
    public string $note;
    /** Tells whether a coach gave the level; null where that is not known. */
    public ?bool $levelChosen;

    public function __construct(CombinationContent $content, public string $text)
    {
        $this->name = $content->name;
        $this->notation = $content->notation;
        $this->stance = $content->stance;
        $this->rules = $content->rules;
        $this->themes = $content->themes;
        $this->level = $content->level;
        $this->note = $content->note;
        $this->levelChosen = $content->levelChosen;
    }
}
