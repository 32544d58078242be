<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use function Periplus\Core\Language\t;

/** The words and phrases that carry nothing in a gym: those that ship without some of them, and its own. */
final readonly class Glue implements GlueSource
{
    /** Maximum length of an own word or phrase, in characters. */
    public const MAX_LENGTH = 40;
    /** Maximum number of words in a phrase. */
    public const MAX_WORDS = 4;
    /** Words that take something away or turn it round, and so never carry nothing. */
    private const NEGATIONS = ['no', 'not', 'without', 'never', 'except', 'instead'];

    /**
     * @param list<string> $own words and phrases of the gym, in lower case
     * @param list<string> $kept words that ship, and are not passed over here
     */
    public function __construct(public array $own = [], public array $kept = [])
    {
    }

    public function glue(): self
    {
        return $this;
    }

    /** @return array<string, true> words and phrases that ship */
    public static function shipped(): array
    {
        return HearingData::read()->glue;
    }

    /** @return list<GlueGroup> what ships, by kind */
    public static function groups(): array
    {
        return HearingData::read()->groups;
    }

    /** @return array<string, true> words and phrases that are passed over */
    public function phrases(): array
    {
        return array_diff_key(self::shipped(), array_flip($this->kept))
            + array_fill_keys($this->own, true);
    }

    /** Returns a phrase in lower case with one space between its words, as it is stored and compared. */
    public static function normalized(string $phrase): string
    {
        $words = array_map(static fn (Token $token): string => $token->word(), Lexer::tokens($phrase));

        return implode(' ', array_filter($words, static fn (string $word): bool => '' !== $word));
    }

    /** Returns why a gym cannot pass over a phrase; null when it can. */
    public static function problem(string $phrase, Vocabulary $vocabulary): ?string
    {
        if (mb_strlen($phrase) > self::MAX_LENGTH) {
            return t(
                '"{phrase}" is too long: at most {max} characters.',
                phrase: Diagnostics::excerpt($phrase),
                max: self::MAX_LENGTH,
            );
        }
        $tokens = mb_check_encoding($phrase, 'UTF-8') ? Lexer::tokens($phrase) : [];
        $words = array_map(static fn (Token $token): string => $token->word(), $tokens);
        if ([] === $words || \in_array('', $words, true) || \count($words) > self::MAX_WORDS) {
            return t(
                '"{phrase}" is not one to {max} words in letters.',
                phrase: Diagnostics::excerpt($phrase),
                max: self::MAX_WORDS,
            );
        }
        foreach ($words as $word) {
            if ($vocabulary->carries($word) || \in_array($word, self::NEGATIONS, true)) {
                return t(
                    '"{phrase}" cannot be passed over: "{word}" says something in a combination.',
                    phrase: Diagnostics::excerpt($phrase),
                    word: $word,
                );
            }
        }
        if (1 === \count($words) && $vocabulary->joins($words[0])) {
            return t(
                '"{phrase}" cannot be passed over alone: it joins the parts of a line.',
                phrase: Diagnostics::excerpt($phrase),
            );
        }
        $means = HearingData::read();

        return isset($means->means[$phrase]) || isset($means->drills[$phrase])
            ? t('"{phrase}" is read as something else already.', phrase: Diagnostics::excerpt($phrase))
            : null;
    }
}
