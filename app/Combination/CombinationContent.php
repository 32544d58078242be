<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Periplus\App\Http\PlainText;
use Periplus\Core\Technique\Stance;

/** What a coach writes about a combination; stored with every version. */
final readonly class CombinationContent
{
    public string $name;
    /** @var list<string> */
    public array $themes;
    public string $note;

    /**
     * @param list<string> $themes
     * @param bool|null $levelChosen whether a coach gave the level; null where that is not known, see {@see settled}
     */
    public function __construct(
        string $name,
        public string $notation,
        public Stance $stance,
        public string $rules,
        array $themes,
        public int $level,
        string $note,
        public ?bool $levelChosen = null,
    ) {
        $this->name = PlainText::line($name);
        $this->themes = array_map(PlainText::line(...), $themes);
        $this->note = trim(PlainText::lines($note));
    }

    /**
     * @param array{
     *     name: string,
     *     notation: string,
     *     stance: string,
     *     rules: string,
     *     themes: list<string>,
     *     level: int,
     *     note: string,
     *     levelChosen?: bool|null,
     * } $content as JSON has it; older versions did not keep who gave the level
     */
    public static function of(array $content): self
    {
        return new self(
            name: $content['name'],
            notation: $content['notation'],
            stance: Stance::from($content['stance']),
            rules: $content['rules'],
            themes: $content['themes'],
            level: $content['level'],
            note: $content['note'],
            levelChosen: $content['levelChosen'] ?? null,
        );
    }

    /** @param string $json of the value */
    public static function ofJson(string $json): self
    {
        /**
         * @var array{
         *     name: string,
         *     notation: string,
         *     stance: string,
         *     rules: string,
         *     themes: list<string>,
         *     level: int,
         *     note: string,
         *     levelChosen?: bool|null,
         * } $content
         */
        $content = json_decode($json, true, flags: \JSON_THROW_ON_ERROR);

        return self::of($content);
    }

    /**
     * @param array{
     *     name: string,
     *     notation: string,
     *     stance: string,
     *     rules: string,
     *     themes: string,
     *     level: int|string,
     *     note: string,
     *     level_chosen: int|string|null,
     * } $row of the table
     */
    public static function ofRow(array $row): self
    {
        /** @var list<string> $themes */
        $themes = json_decode($row['themes'], true, flags: \JSON_THROW_ON_ERROR);

        return self::of([
            ...$row,
            'themes' => $themes,
            'level' => (int) $row['level'],
            'levelChosen' => null === $row['level_chosen'] ? null : (bool) $row['level_chosen'],
        ]);
    }

    /** Sets the level from the check unless a coach chose another one. */
    public function settled(CheckSummary $checked): self
    {
        $chosen = $this->levelChosen ?? ($this->level !== $checked->level);

        return new self(
            name: $this->name,
            notation: $this->notation,
            stance: $this->stance,
            rules: $this->rules,
            themes: $this->themes,
            level: $chosen ? $this->level : $checked->level,
            note: $this->note,
            levelChosen: $chosen,
        );
    }

    private const WORDS = [
        'name' => 'name',
        'notation' => 'chain',
        'stance' => 'stance',
        'rules' => 'rules',
        'themes' => 'themes',
        'level' => 'level',
        'note' => 'note',
    ];

    public function equals(self $other): bool
    {
        return get_object_vars($this) === get_object_vars($other);
    }

    /** @return list<string> the names of what differs from another */
    public function differencesFrom(self $other): array
    {
        return array_values(
            array_filter(
                self::WORDS,
                fn (string $word, string $name): bool => 'level' === $name
                    ? $this->hasOtherLevel($other)
                    : $this->{$name} !== $other->{$name},
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /**
     * Tells whether the levels differ by a coach's choice. Two levels that follow the check differ only because the
     * chains do; old versions without that information compare by number.
     */
    private function hasOtherLevel(self $other): bool
    {
        return ($this->level !== $other->level && (false !== $this->levelChosen || false !== $other->levelChosen))
            || (null !== $this->levelChosen
                && null !== $other->levelChosen
                && $this->levelChosen !== $other->levelChosen);
    }

    /**
     * Returns this content with some fields of another.
     *
     * @param list<string> $differences as {@see differencesFrom} names them
     */
    public function with(self $other, array $differences): self
    {
        $from = fn (string $name): self => \in_array(self::WORDS[$name], $differences, true) ? $other : $this;

        return new self(
            name: $from('name')->name,
            notation: $from('notation')->notation,
            stance: $from('stance')->stance,
            rules: $from('rules')->rules,
            themes: $from('themes')->themes,
            level: $from('level')->level,
            note: $from('note')->note,
            levelChosen: $from('level')->levelChosen,
        );
    }
}
