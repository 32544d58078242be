<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\Person;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationContent;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Search\WordsClause;
use Periplus\Core\Similarity\Family;

/**
 * Computes the terms by which a combination in use is found: its words; "#" and a theme; "@" and a trait: level,
 * verdict, rules (boxing also for punches alone), stance, a weapon, a target reached, the number of strikes, the
 * author; "." and an item, or two consecutive ones; "^" and the first item, "$" and the last ones. Items omit the marks
 * for joined, leg up and landing, and free strikes of any count are "*".
 */
final readonly class IndexTerms
{
    public const THEME = '#';
    public const TRAIT = '@';
    public const BOXING = 'boxing';
    public const HAS = '.';
    public const FIRST = '^';
    public const LAST = '$';
    private const MARKS = [Sequence::JOINED, Sequence::LEG_UP, Sequence::FORWARD, Sequence::BEHIND, Sequence::HALF_WAY];
    private const MAX_WORDS = 150;
    private const MAX_TERM_LENGTH = 41;

    /**
     * @return list<string> none twice
     */
    public function terms(CombinationContent $content, CheckSummary $checked, Person $author): array
    {
        $terms = \array_slice(
            WordsClause::words(implode(' ', [$content->name, ...$content->themes, $author->name, $content->note])),
            0,
            self::MAX_WORDS,
        );
        foreach ($content->themes as $theme) {
            $terms[] = self::THEME.$theme;
        }
        array_push($terms, ...self::traits([
            'level' => $content->level,
            'verdict' => $checked->verdict->value,
            'rules' => $content->rules,
            'stance' => $content->stance->value,
            'strikes' => $checked->strikes,
            'author' => (int) $author->id,
        ]));
        if (CheckSummary::HANDS_ALONE === $checked->weapons) {
            $terms[] = self::trait('rules', self::BOXING);
        }
        $traits = [...explode(',', trim($checked->weapons, ',')), ...explode(',', trim($checked->contacts, ','))];
        foreach ($traits as $trait) {
            $terms[] = self::TRAIT.$trait;
        }
        $sequence = Sequence::read($checked->sequence);
        $items = array_map(self::item(...), $sequence->items);
        foreach ($items as $index => $item) {
            $terms[] = self::HAS.$item;
            if (isset($items[$index + 1])) {
                $terms[] = self::HAS.$item.$items[$index + 1];
            }
        }
        $terms[] = self::FIRST.($items[0] ?? '');
        for ($index = \count($items) - 1; $index >= 0; --$index) {
            $terms[] = self::LAST.$items[$index];
            // Terms for the exit footwork and for the item before it.
            if (!\in_array($items[$index], Family::footwork(), true)) {
                break;
            }
        }

        return array_values(
            array_unique(
                array_map(static fn (string $term): string => mb_substr($term, 0, self::MAX_TERM_LENGTH), $terms),
            ),
        );
    }

    public static function trait(string $name, int|string $value): string
    {
        return self::TRAIT.$name.' '.$value;
    }

    /**
     * @param array<string, int|string> $traits
     *
     * @return list<string>
     */
    private static function traits(array $traits): array
    {
        return array_map(self::trait(...), array_keys($traits), array_values($traits));
    }

    /** Returns an item as written in terms. */
    public static function item(string $item): string
    {
        return \in_array($item[0], [Sequence::FREE, Sequence::CHOICE], true)
            ? '*'
            : strtr($item, array_fill_keys(self::MARKS, ''));
    }
}
