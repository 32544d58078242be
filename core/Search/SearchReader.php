<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Combination\Contact;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Glue;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Reads a search of the library: clauses that start with a keyword ("starts 1", "has 2 3 then rear kick", "no switch",
 * "length 3..5", "liver", "from southpaw", "level 2", "by liv", "theme slips"), in any order, separated by commas,
 * "and" or nothing; all other text is searched for as words. "or" joins a clause to the one before it. Quotation marks
 * keep words together. After "and" or "or", text without a keyword continues the clause before: "starts with a jab or a
 * cross".
 */
final readonly class SearchReader
{
    private const CONTACTS = [
        'liver' => Contact::Liver,
        'spleen' => Contact::Spleen,
        'inside thigh' => Contact::ThighInside,
        'outside thigh' => Contact::ThighOutside,
        'open side' => Contact::OpenSide,
    ];
    private const STATUSES = ['archived' => 'archived', 'proposed' => 'proposed'];
    private const PIECES = '/"[^"]*"?|[,;]|[^\s,;"]+/u';
    /** Spoken variants of the keywords. */
    private const MEANINGS = [
        'begins' => 'starts',
        'starting' => 'starts',
        'beginning' => 'starts',
        'opens' => 'starts',
        'finishes' => 'ends',
        'ending' => 'ends',
        'finishing' => 'ends',
        'contains' => 'has',
        'contain' => 'has',
        'containing' => 'has',
        'includes' => 'has',
        'including' => 'has',
        'have' => 'has',
        'having' => 'has',
        'with' => 'has',
        'without' => 'no',
        'not' => 'no',
    ];
    /** These are keywords only before "with", "in" or "on", because they are also parts of names. */
    private const BEFORE_WITH = [
        'start' => 'starts',
        'begin' => 'starts',
        'open' => 'starts',
        'end' => 'ends',
        'finish' => 'ends',
    ];
    /** Words that are skipped after a keyword for a place, and after articles. */
    private const ARTICLES = ['a', 'an', 'the', 'any'];
    private const BEFORE_ARTICLES = ['then', 'and', 'or'];
    /** Keywords with exactly one word after them. */
    private const WITH_ONE_VALUE = [
        'length',
        'level',
        'from',
        'rules',
        SpokenPhrases::ONLY,
        SpokenPhrases::LONGER,
        SpokenPhrases::SHORTER,
        SpokenPhrases::NEW,
    ];
    private const SEPARATORS = [',', ';', 'and', 'or'];

    private ItemPatternReader $patterns;

    /** @param Glue $glue what is passed over in the gym */
    public function __construct(private Numbering $numbering, Catalogue $catalogue, Glue $glue = new Glue())
    {
        $this->patterns = new ItemPatternReader($numbering, $catalogue, $glue);
    }

    public function read(string $text): SearchQuery
    {
        $pieces = $this->pieces($text);
        $stance = $this->stance($pieces);
        [$groups, $problems, $before, $or, $isJoined] = [[], [], null, null, false];
        $passedOver = [];
        for ($index = 0; $index < \count($pieces);) {
            if ($this->separates($pieces, $index)) {
                $or = $pieces[$index]->is('or') ? $pieces[$index] : null;
                $before = $pieces[$index]->is(',', ';') ? null : $before;
                $isJoined = true;
                ++$index;
                continue;
            }
            $end = $index + 1;
            while ($end < \count($pieces) && !$this->ends($pieces, $index, $end)) {
                ++$end;
            }
            /** @var non-empty-list<Piece> $taken */
            $taken = \array_slice($pieces, $index, $end - $index);
            // "No liver or spleen" means without both.
            if (
                $isJoined
                && null !== $before
                && (!$this->begins($pieces, $index)
                    || (ChainPart::No->value === $before && $this->isContact($pieces, $index)))
            ) {
                array_unshift($taken, new Piece('', $taken[0]->at, $before));
            }
            $clause = $this->clause($taken, $stance);
            if ($clause instanceof ItemsClause) {
                $passedOver[] = $this->patterns->passedOver(
                    $this->continues($taken[0]) ? \array_slice($taken, 1) : $taken,
                );
            }
            if ($clause instanceof ReadingProblem) {
                $problems[] = $clause;
            } elseif (
                null !== $or
                && [] !== $groups
                && ($this->isArchived($clause) || $this->isArchived($groups[\count($groups) - 1][0]))
            ) {
                $problems[] = $this->wrong(
                    $taken,
                    t(
                        'Archived combinations are searched separately, so "archived" cannot be one of two '
                            .'alternatives.',
                    ),
                    t('archived without "or"'),
                    ['archived'],
                );
            } elseif (null !== $or && [] !== $groups && !$this->isUnwanted($clause)) {
                $groups[\count($groups) - 1][] = $clause;
            } else {
                $groups[] = [$clause];
            }
            $before = $this->continues($taken[0]) ? $taken[0]->word() : null;
            $or = null;
            $isJoined = false;
            $index = $end;
        }
        if (null !== $or || (isset($pieces[0]) && $pieces[0]->is('or'))) {
            $or ??= $pieces[0];
            $problems[] = new ReadingProblem(
                $or->at,
                mb_strlen($or->text),
                t('"or" stands between two clauses.'),
                t('a clause before it and one after it'),
                ['starts 1 or 2'],
            );
        }

        return new SearchQuery(
            array_map(
                static fn (array $group): Clause => 1 === \count($group) ? $group[0] : new EitherClause($group),
                $groups,
            ),
            $problems,
            array_values(array_unique(array_merge(...$passedOver))),
        );
    }

    /** @return list<Piece> with the words of clauses in place of what coaches say for them */
    private function pieces(string $text): array
    {
        preg_match_all(self::PIECES, $text, $found, \PREG_OFFSET_CAPTURE);
        $raw = (new SpokenPhrases())->replace(array_map(
            static fn (array $piece): Piece => new Piece($piece[0], mb_strlen(substr($text, 0, $piece[1]))),
            $found[0],
        ));
        $pieces = [];
        for ($index = 0; $index < \count($raw); ++$index) {
            $piece = $raw[$index];
            $next = $raw[$index + 1] ?? null;
            $last = $pieces[\count($pieces) - 1] ?? null;
            if (
                null !== $next
                && $piece->is(...self::ARTICLES)
                && null !== $last
                && (null !== ChainPart::tryFrom($last->word()) || $last->is(...self::BEFORE_ARTICLES))
            ) {
                continue;
            }
            $meaning = $piece->isQuoted() ? null : self::MEANINGS[$piece->word()] ?? null;
            if ($piece->is('not') && true === $next?->is('drilled')) {
                $meaning = null;
            }
            $before = $piece->isQuoted() ? null : self::BEFORE_WITH[$piece->word()] ?? null;
            if (null !== $before && true === $next?->is('with', 'in', 'on')) {
                $meaning = $before;
            }
            $pieces[] = null === $meaning ? $piece : $piece->meaning($meaning);
            if (
                \in_array($meaning ?? $piece->word(), ['starts', 'ends'], true)
                && !$piece->isQuoted()
                && true === $next?->is('with', 'in', 'on', 'by')
            ) {
                ++$index;
            }
        }

        return $pieces;
    }

    /**
     * Returns the stance in which left and right and hand-bound numbers are read: the one that is searched for,
     * otherwise orthodox.
     *
     * @param list<Piece> $pieces
     */
    private function stance(array $pieces): Stance
    {
        foreach ($pieces as $index => $piece) {
            $stance = $piece->is('from') ? Stance::tryFrom(($pieces[$index + 1] ?? null)?->word() ?? '') : null;
            if (null !== $stance) {
                return $stance;
            }
        }

        return Stance::Orthodox;
    }

    /**
     * "Level" is a keyword before a number, and part of a move in "level change" and "change level".
     *
     * @param list<Piece> $pieces
     */
    private function isLevelChange(array $pieces, int $index): bool
    {
        return $pieces[$index]->is('level')
            && (true === ($pieces[$index + 1] ?? null)?->is('change')
                || true === ($pieces[$index - 1] ?? null)?->is('change'));
    }

    /**
     * Tells whether a comma, "and" or "or" separates two clauses; it does not within a name such as "bob and weave".
     *
     * @param list<Piece> $pieces
     */
    private function separates(array $pieces, int $index): bool
    {
        return $pieces[$index]->is(...self::SEPARATORS)
            && !(
                $index > 0
                && isset($pieces[$index + 1])
                && $this->patterns->isMove(
                    $pieces[$index - 1]->word(),
                    $pieces[$index]->word(),
                    $pieces[$index + 1]->word(),
                )
            );
    }

    private function isUnwanted(Clause $clause): bool
    {
        return ($clause instanceof ItemsClause && ChainPart::No === $clause->place)
            || ($clause instanceof ContactClause && !$clause->wanted);
    }

    private function isArchived(Clause $clause): bool
    {
        return $clause instanceof FieldClause && 'archived' === $clause->value;
    }

    /** @param list<Piece> $pieces */
    private function isContact(array $pieces, int $index): bool
    {
        $word = $pieces[$index]->word();
        // "To the liver" and "liver shot" describe one strike.
        if (
            true === ($pieces[$index - 1] ?? null)?->is('to', 'the')
            || true === ($pieces[$index + 1] ?? null)?->is('shot')
        ) {
            return false;
        }

        return isset(self::CONTACTS[$word])
            || isset(self::CONTACTS[$word.' '.(($pieces[$index + 1] ?? null)?->word() ?? '')]);
    }

    /** Tells whether the text after "and" or "or" can continue the clause before. */
    private function continues(Piece $first): bool
    {
        return !$first->isQuoted()
            && (null !== ChainPart::tryFrom($first->word()) || $first->is(
                'length',
                'level',
                'from',
                'rules',
                'by',
                'theme',
            ));
    }

    /**
     * Tells whether a clause that started at one piece ends before another: at a comma, before the next keyword, and
     * after its value.
     *
     * @param list<Piece> $pieces
     */
    private function ends(array $pieces, int $from, int $index): bool
    {
        $first = $pieces[$from]->word();
        $second = ($pieces[$from + 1] ?? null)?->word() ?? '';
        $most = match (true) {
            isset(self::CONTACTS[$first]), isset(self::STATUSES[$first]), null !== Verdict::tryFrom($first) => 1,
            $this->isLevelChange($pieces, $from) => \count($pieces),
            \in_array($first, self::WITH_ONE_VALUE, true),
            isset(self::CONTACTS[$first.' '.$second]) => 2,
            'drilled' === $first, 'not' === $first => 'never' === $second ? 2 : $this->drilledPieces($pieces, $from),
            default => \count($pieces),
        };
        if ($this->separates($pieces, $index)) {
            // A theme may be called "in and out", and nothing starts with two things except one after the other.
            return !(
                $pieces[$index]->is('and')
                && \in_array($first, ['theme', 'by', 'starts', 'ends'], true)
                && isset($pieces[$index + 1])
                && !$this->begins($pieces, $index + 1)
            );
        }

        // After these words, text may look like a keyword: "no liver", "theme liver".
        return $index - $from >= $most
            || ($this->begins($pieces, $index)
                && !(\in_array($first, ['no', 'has', 'not', 'theme', 'by'], true) && $index === $from + 1));
    }

    /**
     * Returns how many pieces a clause about drilling has.
     *
     * @param list<Piece> $pieces
     */
    private function drilledPieces(array $pieces, int $from): int
    {
        $count = 1;
        while (
            isset($pieces[$from + $count])
            && (1 === preg_match('/^\d{1,4}$/', $pieces[$from + $count]->word())
                || $pieces[$from + $count]->is(
                    'drilled',
                    'never',
                    'in',
                    'for',
                    'within',
                    'the',
                    'last',
                    'day',
                    'days',
                    'week',
                    'weeks',
                    'month',
                    'months',
                ))
        ) {
            ++$count;
            if ($pieces[$from + $count - 1]->is('day', 'days', 'week', 'weeks', 'month', 'months', 'never')) {
                return $count;
            }
        }

        // Text that starts no clause stays in this one, so that it is reported.
        return isset($pieces[$from + $count]) && !$this->begins($pieces, $from + $count) ? $count + 1 : $count;
    }

    /** @param list<Piece> $pieces */
    private function begins(array $pieces, int $index): bool
    {
        if ($pieces[$index]->isQuoted() || $this->isLevelChange($pieces, $index)) {
            return false;
        }
        $word = $pieces[$index]->word();

        return null !== ChainPart::tryFrom($word)
            || \in_array($word, [...self::WITH_ONE_VALUE, 'by', 'theme', 'drilled'], true)
            || $this->isContact($pieces, $index) || isset(self::STATUSES[$word])
            || null !== Verdict::tryFrom($word)
            || 'not' === $word;
    }

    /** @param non-empty-list<Piece> $pieces */
    private function clause(array $pieces, Stance $stance): Clause|ReadingProblem
    {
        $text = implode(' ', array_map(
            static fn (Piece $piece): string => '' === $piece->text ? $piece->word() : $piece->text,
            array_filter($pieces, static fn (Piece $piece): bool => !$piece->isImplied),
        ));
        if ($pieces[0]->isQuoted()) {
            return $this->words($pieces, $text, $stance);
        }
        $first = $pieces[0]->word();
        $rest = \array_slice($pieces, 1);
        $value = implode(' ', array_map(static fn (Piece $piece): string => $piece->word(), $rest));
        $contact = self::CONTACTS[trim((\in_array($first, ['no', 'has'], true) ? '' : $first).' '.$value)] ?? null;
        $place = ChainPart::tryFrom($first);

        return match (true) {
            null !== $contact => new ContactClause($contact, 'no' !== $first, $text),
            null !== $place => $this->items($place, $pieces, $rest, $text, $stance),
            'length' === $first => $this->length($pieces, $value, $text),
            SpokenPhrases::ONLY === $first => new ItemsClause(
                ChainPart::No,
                [[$this->patterns->otherThan(Limb::from($value))]],
                $text,
            ),
            SpokenPhrases::LONGER === $first, SpokenPhrases::SHORTER === $first => new DurationClause(
                SpokenPhrases::LONGER === $first,
                (int) round(1000 * (float) $value),
                $text,
            ),
            SpokenPhrases::NEW === $first => new NewClause((int) $value, $text),
            isset(self::STATUSES[$first]) => new FieldClause(
                'status',
                self::STATUSES[$first],
                t('is {status}', status: $first),
                $text,
            ),
            null !== Verdict::tryFrom($first) => new FieldClause(
                'verdict',
                $first,
                match ($first) {
                    'flows' => 'flows',
                    'breaks' => 'breaks',
                    default => t('needs a reload'),
                },
                $text,
            ),
            'level' === $first && !$this->isLevelChange($pieces, 0) => \in_array($value, ['1', '2', '3'], true)
                ? new FieldClause('level', $value, t('is of level {level}', level: $value), $text)
                : $this->wrong($pieces, t('The level is 1, 2 or 3.'), '1, 2 or 3', ['level 1', 'level 2', 'level 3']),
            'from' === $first => null !== Stance::tryFrom($value)
                ? new FieldClause('stance', $value, t('was written for {stance}', stance: $value), $text)
                : $this->wrong($pieces, t('A combination is from orthodox or from southpaw.'), 'a stance', [
                    'from orthodox',
                    'from southpaw',
                ]),
            'rules' === $first => \in_array(strtr($value, ' ', '-'), BuiltInHouseRules::ids(), true)
                ? new FieldClause('rules', strtr($value, ' ', '-'), t('is for {rules}', rules: $value), $text)
                : $this->wrong(
                    $pieces,
                    t('There are no such rules.'),
                    t('boxing, kickboxing or all-limbs'),
                    array_map(static fn (string $id): string => 'rules '.$id, BuiltInHouseRules::ids()),
                ),
            'by' === $first, 'theme' === $first => '' === $value
                ? $this->wrong(
                    $pieces,
                    t('"{first}" needs a name after it.', first: $first),
                    'by' === $first ? 'a coach' : 'a theme',
                )
                : new FieldClause(
                    'by' === $first ? 'author' : 'theme',
                    $value,
                    'by' === $first
                        ? t('was written by {coach}', coach: $value)
                        : t('has the theme {theme}', theme: $value),
                    $text,
                ),
            'drilled' === $first, 'not' === $first => $this->drilled($pieces, $text),
            default => $this->words($pieces, $text, $stance),
        };
    }

    /**
     * @param non-empty-list<Piece> $pieces
     * @param list<Piece> $rest
     */
    private function items(
        ChainPart $place,
        array $pieces,
        array $rest,
        string $text,
        Stance $stance,
    ): Clause|ReadingProblem {
        $read = $this->patterns->runs($rest, $stance);
        if ($read instanceof ReadingProblem) {
            return $read;
        }

        return [] === $read
            ? $this->wrong(
                $pieces,
                t('"{place}" needs a strike or a move after it.', place: $place->value),
                t('a number or words'),
                [$place->value.' 1', $place->value.' kick'],
            )
            : new ItemsClause($place, $read, $text);
    }

    /** @param non-empty-list<Piece> $pieces such as "drilled", "not drilled for 4 weeks", "drilled never" */
    private function drilled(array $pieces, string $text): Clause|ReadingProblem
    {
        $said = mb_strtolower(implode(' ', array_map(static fn (Piece $piece): string => $piece->word(), $pieces)));
        if (
            1
            !== preg_match(
                '/^(not )?drilled(?: (never))?(?:(?: in| for| within| the| last)* (\d{1,4}) (day|week|month)s?)?$/',
                $said,
                $found,
            )
        ) {
            return $this->wrong(
                $pieces,
                t('It is unclear when it was drilled.'),
                t('such as drilled, not drilled, drilled 4 weeks'),
                ['drilled 2 weeks', 'not drilled 4 weeks', 'drilled never'],
            );
        }
        $days = match ($found[4] ?? '') {
            'day' => (int) ($found[3] ?? 0),
            'week' => 7 * (int) ($found[3] ?? 0),
            'month' => 30 * (int) ($found[3] ?? 0),
            default => null,
        };

        return new DrilledClause('' === ($found[1] ?? '') && '' === ($found[2] ?? ''), $days, $text);
    }

    /** @param non-empty-list<Piece> $pieces */
    private function length(array $pieces, string $value, string $text): Clause|ReadingProblem
    {
        return match (true) {
            1 === preg_match('/^(\d{1,2})$/', $value, $found) => new LengthClause(
                (int) $found[1],
                (int) $found[1],
                $text,
            ),
            1 === preg_match('/^(\d{1,2})\+$/', $value, $found) => new LengthClause((int) $found[1], null, $text),
            1 === preg_match('/^(\d{1,2})(?:\.\.|-|–)(\d{1,2})$/u', $value, $found)
                && (int) $found[1] <= (int) $found[2] => new LengthClause((int) $found[1], (int) $found[2], $text),
            default => $this->wrong(
                $pieces,
                t('A length is a count of strikes, or from the least to the most.'),
                t('such as 4, 3..5 or 6+'),
                ['length 4', 'length 3..5', 'length 6+'],
            ),
        };
    }

    /** @param non-empty-list<Piece> $pieces */
    private function words(array $pieces, string $text, Stance $stance): Clause|ReadingProblem
    {
        $words = WordsClause::words($text);
        $quoted = [] !== array_filter($pieces, static fn (Piece $piece): bool => $piece->isQuoted());
        $runs = $quoted ? [] : $this->patterns->runs($pieces, $stance);
        $items = \is_array($runs) && [] !== $runs ? new ItemsClause(ChainPart::Has, $runs, $text) : null;

        return match (true) {
            [] !== $words => new WordsClause($words, $items, $text),
            // Signs alone are items, such as "/", or nothing.
            default => $items
                ?? $this->wrong(
                    $pieces,
                    t('Nothing can be searched for by “{text}”.', text: mb_substr($text, 0, 40)),
                    t('a word, a number or a clause'),
                ),
        };
    }

    /**
     * @param non-empty-list<Piece> $pieces
     * @param list<string> $nearest
     */
    private function wrong(array $pieces, string $message, string $expected, array $nearest = []): ReadingProblem
    {
        $last = $pieces[\count($pieces) - 1];

        return new ReadingProblem(
            $pieces[0]->at,
            $last->at + mb_strlen($last->text) - $pieces[0]->at,
            $message,
            $expected,
            $nearest,
        );
    }
}
