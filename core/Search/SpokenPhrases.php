<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Notation\Vocabulary;

/**
 * Replaces phrases that coaches and screens use with the keywords of a search: "kickboxing" with "rules kickboxing",
 * "southpaw first" with "from southpaw", "3 strikes" with "length 3". Keywords with a blank in them cannot be typed.
 */
final readonly class SpokenPhrases
{
    public const ONLY = 'strikes only';
    public const LONGER = 'longer than';
    public const SHORTER = 'shorter than';
    public const NEW = 'new since';
    private const WORDS = [
        'kickboxing' => ['rules', 'kickboxing'],
        'boxing' => ['rules', 'boxing'],
        'all limbs' => ['rules', 'all-limbs'],
        'southpaw first' => ['from', 'southpaw'],
        'orthodox first' => ['from', 'orthodox'],
        'written for southpaw' => ['from', 'southpaw'],
        'written for orthodox' => ['from', 'orthodox'],
        'for southpaws' => ['from', 'southpaw'],
        'for southpaw' => ['from', 'southpaw'],
        'for orthodox' => ['from', 'orthodox'],
        'southpaw' => ['from', 'southpaw'],
        'orthodox' => ['from', 'orthodox'],
        'never drilled' => ['drilled', 'never'],
        'not drilled yet' => ['drilled', 'never'],
        'not yet drilled' => ['drilled', 'never'],
        'hands only' => [self::ONLY, 'hand'],
        'only hands' => [self::ONLY, 'hand'],
        'punches only' => [self::ONLY, 'hand'],
        'only punches' => [self::ONLY, 'hand'],
        'kicks only' => [self::ONLY, 'leg'],
        'only kicks' => [self::ONLY, 'leg'],
        'new today' => [self::NEW, '1'],
        'new this week' => [self::NEW, '7'],
        'new this month' => [self::NEW, '30'],
    ];
    /** Patterns with a count or a time, each with the keywords it stands for. */
    private const PATTERNS = [
        '/^(?:has |with )?(?:at least|min) (\d{1,2}) strikes$/' => ['length', '$1+'],
        '/^(?:has |with )?(?:at most|up to|max) (\d{1,2}) strikes$/' => ['length', '1..$1'],
        '/^(?:has |with )?(\d{1,2}) (?:or more|and more) strikes$/' => ['length', '$1+'],
        '/^(?:has |with )?(\d{1,2}) strikes or more$/' => ['length', '$1+'],
        '/^(?:has |with )?(\d{1,2})(?: to |-|–|\.\.)(\d{1,2}) strikes$/u' => ['length', '$1..$2'],
        '/^(?:has |with )?(\d{1,2}\+?) strikes$/' => ['length', '$1'],
        '/^(?:has |with )?2 (kick|knee|elbow|punch|hand)e?s$/' => ['has', '$1', 'then', '$1'],
        '/^(?:has |with )?3 (kick|knee|elbow|punch|hand)e?s$/' => ['has', '$1', 'then', '$1', 'then', '$1'],
        '/^(?:longer than|over|above) (\d{1,2}(?:\.\d{1,2})?) ?(?:s|sec|seconds?)$/' => [self::LONGER, '$1'],
        '/^(?:shorter than|under|below) (\d{1,2}(?:\.\d{1,2})?) ?(?:s|sec|seconds?)$/' => [self::SHORTER, '$1'],
        '/^new in the last (\d{1,3}) days?$/' => [self::NEW, '$1'],
    ];
    /** The number of words in the longest phrase. */
    private const MAX_WORDS = 6;
    /** After these keywords the next word is a value, and no phrase. */
    private const BEFORE_VALUES = ['rules', 'theme', 'by', 'from'];

    /**
     * Returns the pieces with each phrase replaced by keywords. The first keyword carries the typed text; the others
     * are implied.
     *
     * @param list<Piece> $pieces
     *
     * @return list<Piece>
     */
    public function replace(array $pieces): array
    {
        $replaced = [];
        for ($index = 0; $index < \count($pieces);) {
            $isValue = $index > 0 && $pieces[$index - 1]->is(...self::BEFORE_VALUES);
            [$count, $keywords] = $isValue ? [0, []] : $this->phraseAt($pieces, $index);
            if (0 === $count) {
                $replaced[] = $pieces[$index];
                ++$index;
                continue;
            }
            $last = $pieces[$index + $count - 1];
            $end = $last->at + mb_strlen($last->text);
            $typed = implode(
                ' ',
                array_map(static fn (Piece $piece): string => $piece->text, \array_slice($pieces, $index, $count)),
            );
            foreach ($keywords as $position => $keyword) {
                $replaced[] = 0 === $position
                    ? new Piece($typed, $pieces[$index]->at, $keyword)
                    : new Piece($keyword, $end - mb_strlen($keyword), isImplied: true);
            }
            $index += $count;
        }

        return $replaced;
    }

    /**
     * Returns how many pieces from an index on are the longest phrase, and the keywords it stands for.
     *
     * @param list<Piece> $pieces
     *
     * @return array{int, list<string>} no pieces where no phrase begins
     */
    private function phraseAt(array $pieces, int $index): array
    {
        for ($count = min(self::MAX_WORDS, \count($pieces) - $index); $count > 0; --$count) {
            $words = [];
            foreach (\array_slice($pieces, $index, $count) as $piece) {
                if ($piece->isQuoted()) {
                    continue 2;
                }
                $words[] = Vocabulary::NUMBERS[$piece->word()] ?? $piece->word();
            }
            $phrase = implode(' ', $words);
            if (isset(self::WORDS[$phrase])) {
                return [$count, self::WORDS[$phrase]];
            }
            foreach (self::PATTERNS as $pattern => $keywords) {
                if (1 === preg_match($pattern, $phrase)) {
                    return [
                        $count,
                        array_map(
                            static fn (string $keyword): string => (string) preg_replace($pattern, $keyword, $phrase),
                            $keywords,
                        ),
                    ];
                }
            }
        }

        return [0, []];
    }
}
