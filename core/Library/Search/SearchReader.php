<?php

declare(strict_types=1);

namespace Periplus\Core\Library\Search;

use Periplus\Core\Combination\Meeting;
use Periplus\Core\Flow\HouseRules;
use Periplus\Core\Flow\Verdict;
use Periplus\Core\Notation\Problem;
use Periplus\Core\Notation\Scheme;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;

/**
 * Reads what a coach types to find combinations: clauses that begin with a word of their own ("starts 1", "has 2 3 then
 * rear kick", "no switch", "length 3..5", "liver", "from southpaw", "level 2", "by liv", "theme slips", "drilled never"),
 * in any order, with or without commas; all else are words to be found. Quotation marks keep words together and as words.
 */
final readonly class SearchReader
{
    private const MEETINGS = [
        'liver' => Meeting::Liver, 'spleen' => Meeting::Spleen, 'inside thigh' => Meeting::ThighInside, 'outside thigh' => Meeting::ThighOutside, 'open side' => Meeting::OpenSide,
    ];
    private const STATUSES = ['archived' => 'archived', 'proposed' => 'proposed'];
    private const PIECES = '/"[^"]*"?|[,;]|[^\s,;"]+/u';

    private TermReader $terms;

    public function __construct(private Scheme $scheme, Catalogue $catalogue)
    {
        $this->terms = new TermReader($scheme, $catalogue);
    }

    public function read(string $text): Search
    {
        preg_match_all(self::PIECES, $text, $found, \PREG_OFFSET_CAPTURE);
        $pieces = array_map(static fn (array $piece): Piece => new Piece($piece[0], mb_strlen(substr($text, 0, $piece[1]))), $found[0]);
        [$clauses, $problems] = [[], []];
        for ($at = 0; $at < \count($pieces);) {
            if (\in_array($pieces[$at]->text, [',', ';'], true)) {
                ++$at;
                continue;
            }
            $end = $at + 1;
            while ($end < \count($pieces) && !$this->ends($pieces, $at, $end)) {
                ++$end;
            }
            /** @var non-empty-list<Piece> $taken */
            $taken = \array_slice($pieces, $at, $end - $at);
            $clause = $this->clause($taken);
            $clause instanceof Problem ? $problems[] = $clause : $clauses[] = $clause;
            $at = $end;
        }

        return new Search($clauses, $problems);
    }

    /**
     * Whether a clause that began at one piece is over before another: at a comma, where the next begins, and after its value.
     *
     * @param list<Piece> $pieces
     */
    private function ends(array $pieces, int $from, int $at): bool
    {
        $first = $pieces[$from]->word();
        $second = ($pieces[$from + 1] ?? null)?->word() ?? '';
        $most = match (true) {
            isset(self::MEETINGS[$first]), isset(self::STATUSES[$first]), null !== Verdict::tryFrom($first) => 1,
            \in_array($first, ['length', 'level', 'from', 'rules'], true), isset(self::MEETINGS[$first.' '.$second]) => 2,
            'drilled' === $first, 'not' === $first => 'never' === $second ? 2 : 5,
            default => \count($pieces),
        };

        // What stands after these may begin like a clause of its own: "no liver", "theme liver".
        return \in_array($pieces[$at]->text, [',', ';'], true)
            || $at - $from >= $most
            || ($this->begins($pieces, $at) && !(\in_array($first, ['no', 'not', 'theme', 'by'], true) && $at === $from + 1));
    }

    /** @param list<Piece> $pieces */
    private function begins(array $pieces, int $at): bool
    {
        $word = $pieces[$at]->word();
        $next = ($pieces[$at + 1] ?? null)?->word() ?? '';

        return null !== Place::tryFrom($word)
            || \in_array($word, ['length', 'level', 'from', 'rules', 'by', 'theme', 'drilled'], true)
            || isset(self::MEETINGS[$word]) || isset(self::MEETINGS[$word.' '.$next]) || isset(self::STATUSES[$word])
            || null !== Verdict::tryFrom($word)
            || ('not' === $word && 'drilled' === $next);
    }

    /** @param non-empty-list<Piece> $pieces */
    private function clause(array $pieces): Clause|Problem
    {
        $text = implode(' ', array_column($pieces, 'text'));
        $first = $pieces[0]->word();
        $rest = \array_slice($pieces, 1);
        $value = implode(' ', array_map(static fn (Piece $piece): string => $piece->word(), $rest));
        $meeting = self::MEETINGS[trim(('no' === $first ? '' : $first).' '.$value)] ?? null;
        $place = Place::tryFrom($first);

        return match (true) {
            null !== $meeting => new Meets($meeting, 'no' !== $first, $text),
            null !== $place => $this->items($place, $pieces, $rest, $text),
            'length' === $first => $this->length($pieces, $value, $text),
            isset(self::STATUSES[$first]) => new Field('status', self::STATUSES[$first], 'is '.$first, $text),
            null !== Verdict::tryFrom($first) => new Field('verdict', $first, match ($first) {
                'flows' => 'flows',
                'breaks' => 'breaks',
                default => 'needs a reload',
            }, $text),
            'level' === $first => \in_array($value, ['1', '2', '3'], true) ? new Field('level', $value, 'is of level '.$value, $text) : self::wrong($pieces, 'The level is 1, 2 or 3.', '1, 2 or 3', ['level 1', 'level 2', 'level 3']),
            'from' === $first => null !== Stance::tryFrom($value) ? new Field('stance', $value, 'was written for '.$value, $text) : self::wrong($pieces, 'A combination is from orthodox or from southpaw.', 'a stance', ['from orthodox', 'from southpaw']),
            'rules' === $first => \in_array(strtr($value, ' ', '-'), HouseRules::ids(), true) ? new Field('rules', strtr($value, ' ', '-'), 'is for '.$value, $text) : self::wrong($pieces, 'There are no such rules.', 'boxing, kickboxing or all-limbs', array_map(static fn (string $id): string => 'rules '.$id, HouseRules::ids())),
            'by' === $first, 'theme' === $first => '' === $value ? self::wrong($pieces, \sprintf('"%s" needs a name after it.', $first), 'by' === $first ? 'a coach' : 'a theme') : new Field('by' === $first ? 'author' : 'theme', $value, ('by' === $first ? 'was written by ' : 'has the theme ').$value, $text),
            'drilled' === $first, 'not' === $first && isset($pieces[1]) && 'drilled' === $pieces[1]->word() => $this->drilled($pieces, $text),
            default => $this->words($pieces, $text),
        };
    }

    /**
     * @param non-empty-list<Piece> $pieces
     * @param list<Piece> $rest
     */
    private function items(Place $place, array $pieces, array $rest, string $text): Clause|Problem
    {
        $read = $this->terms->runs($rest);
        if ($read instanceof Problem) {
            return $read;
        }

        return [] === $read
            ? self::wrong($pieces, \sprintf('"%s" needs a strike or a move after it.', $place->value), 'a number or words', [$place->value.' 1', $place->value.' kick'])
            : new Items($place, $read, $text);
    }

    /** @param non-empty-list<Piece> $pieces */
    private function length(array $pieces, string $value, string $text): Clause|Problem
    {
        return match (true) {
            1 === preg_match('/^(\d{1,2})$/', $value, $found) => new Length((int) $found[1], (int) $found[1], $text),
            1 === preg_match('/^(\d{1,2})\+$/', $value, $found) => new Length((int) $found[1], null, $text),
            1 === preg_match('/^(\d{1,2})(?:\.\.|-|–)(\d{1,2})$/u', $value, $found) && (int) $found[1] <= (int) $found[2] => new Length((int) $found[1], (int) $found[2], $text),
            default => self::wrong($pieces, 'A length is a count of strikes, or from the least to the most.', 'such as 4, 3..5 or 6+', ['length 4', 'length 3..5', 'length 6+']),
        };
    }

    /** @param non-empty-list<Piece> $pieces */
    private function drilled(array $pieces, string $text): Clause|Problem
    {
        $words = implode(' ', array_map(static fn (Piece $piece): string => $piece->word(), $pieces));

        return match (true) {
            'drilled never' === $words => new Field('drilled', 'never', 'was never drilled', $text),
            1 === preg_match('/^drilled within (\d{1,3})(?: days?)?$/', $words, $found) => new Field('drilled', $found[1], \sprintf('was drilled within %d days', $found[1]), $text),
            1 === preg_match('/^not drilled (?:for|within) (\d{1,3})(?: days?)?$/', $words, $found) => new Field('not-drilled', $found[1], \sprintf('was not drilled for %d days', $found[1]), $text),
            default => self::wrong($pieces, 'When it was last drilled is said in days.', 'drilled within 14 days, not drilled for 30 days or drilled never', ['drilled never', 'drilled within 14 days', 'not drilled for 30 days']),
        };
    }

    /** @param non-empty-list<Piece> $pieces */
    private function words(array $pieces, string $text): Clause|Problem
    {
        $words = Words::of($text);
        $quoted = [] !== array_filter($pieces, static fn (Piece $piece): bool => str_starts_with($piece->text, '"'));
        $runs = $quoted ? [] : $this->terms->runs($pieces);
        $items = \is_array($runs) && [] !== $runs ? new Items(Place::Has, $runs, $text) : null;

        return match (true) {
            [] !== $words => new Words($words, $items, $text),
            // Signs alone are items, such as "/", or nothing.
            default => $items ?? self::wrong($pieces, \sprintf('Nothing can be looked for by “%s”.', mb_substr($text, 0, 40)), 'a word, a number or a clause'),
        };
    }

    /**
     * @param non-empty-list<Piece> $pieces
     * @param list<string> $nearest
     */
    private static function wrong(array $pieces, string $message, string $expected, array $nearest = []): Problem
    {
        $last = $pieces[\count($pieces) - 1];

        return new Problem($pieces[0]->at, $last->at + mb_strlen($last->text) - $pieces[0]->at, $message, $expected, $nearest);
    }
}
