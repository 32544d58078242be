<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use function Periplus\Core\Language\t;

/**
 * Words of the name, a theme, the note or the author, matched by their beginning. Words or numbers that name items may
 * also occur in the chain.
 */
final readonly class WordsClause implements Clause
{
    /** @param non-empty-list<string> $words in lower case */
    public function __construct(public array $words, public ?ItemsClause $items, private string $text)
    {
    }

    public function says(): string
    {
        return t(
            '{count, plural, one {the word} other {the words}} “{words}”{items}',
            count: \count($this->words),
            words: implode(' ', $this->words),
            items: null === $this->items ? '' : t(', or {items}', items: $this->items->says()),
        );
    }

    public function text(): string
    {
        return $this->text;
    }

    public function accept(ClauseVisitor $visitor): mixed
    {
        return $visitor->words($this);
    }

    /**
     * @return list<string> what a text is found by: its words and numbers, in lower case and without accents, none
     *                      twice
     */
    public static function words(string $text): array
    {
        $plain = \Normalizer::normalize(mb_strtolower($text), \Normalizer::FORM_KD);
        preg_match_all(
            '/[\p{L}\p{N}]{1,40}/u',
            (string) preg_replace('/\p{Mn}+/u', '', \is_string($plain) ? $plain : $text),
            $found,
        );

        return array_values(array_unique($found[0]));
    }
}
