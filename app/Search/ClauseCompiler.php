<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Account\Accounts;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\SqlCondition;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Search\ChainPart;
use Periplus\Core\Search\Clause;
use Periplus\Core\Search\ClauseVisitor;
use Periplus\Core\Search\ContactClause;
use Periplus\Core\Search\DrilledClause;
use Periplus\Core\Search\DurationClause;
use Periplus\Core\Search\EitherClause;
use Periplus\Core\Search\FieldClause;
use Periplus\Core\Search\ItemPattern;
use Periplus\Core\Search\ItemsClause;
use Periplus\Core\Search\LengthClause;
use Periplus\Core\Search\NewClause;
use Periplus\Core\Search\WordsClause;

/**
 * Compiles a clause to SQL conditions.
 *
 * @implements ClauseVisitor<Criterion>
 */
final readonly class ClauseCompiler implements ClauseVisitor
{
    /** Maximum number of item pairs that are looked up one by one. */
    private const MAX_PAIRS = 400;

    /** @param \DateTimeImmutable $today in the time of the gym */
    public function __construct(private Accounts $accounts, private bool $archived, private \DateTimeImmutable $today)
    {
    }

    public function either(EitherClause $clause): Criterion
    {
        return Criterion::either(array_map(fn (Clause $one): Criterion => $one->accept($this), $clause->clauses));
    }

    public function contact(ContactClause $clause): Criterion
    {
        $value = $clause->contact->value;

        return $clause->wanted
            ? self::trait(new SqlCondition('c.contacts LIKE ?', '%,'.$value.',%'), self::is(IndexTerms::TRAIT.$value))
            : new Criterion(new SqlCondition('c.contacts NOT LIKE ?', '%,'.$value.',%'));
    }

    public static function is(string $term): SqlCondition
    {
        return new SqlCondition('= ?', $term);
    }

    public static function trait(SqlCondition $row, SqlCondition $term): Criterion
    {
        return new Criterion($row, [new Alternative([$term])], isTrait: true);
    }

    /** Matches combinations written for the rules; for boxing also those with punches alone under other rules. */
    public static function rules(string $rules): Criterion
    {
        return self::trait(
            IndexTerms::BOXING === $rules
                ? new SqlCondition('c.rules = ? OR c.weapons = ?', $rules, CheckSummary::HANDS_ALONE)
                : new SqlCondition('c.rules = ?', $rules),
            self::is(IndexTerms::trait('rules', $rules)),
        );
    }

    public static function column(string $column, int|string $value): Criterion
    {
        return self::trait(new SqlCondition("c.$column = ?", $value), self::is(IndexTerms::trait($column, $value)));
    }

    public function length(LengthClause $clause): Criterion
    {
        $counts = range($clause->least, min(Chain::MAX_ITEMS, $clause->most ?? Chain::MAX_ITEMS));

        return self::trait(
            new SqlCondition('c.strikes BETWEEN ? AND ?', $clause->least, $clause->most ?? Chain::MAX_ITEMS),
            SqlCondition::in(
                array_map(static fn (int $count): string => IndexTerms::trait('strikes', $count), $counts),
            ),
        );
    }

    public function items(ItemsClause $clause): Criterion
    {
        $row = new SqlCondition(
            'c.sequence '.($clause->wanted() ? '' : 'NOT ').'REGEXP ?',
            '(?s)'.$clause->pattern(),
        );
        if (!$clause->wanted()) {
            return new Criterion($row);
        }
        $terms = [];
        if (ChainPart::Starts === $clause->place) {
            $terms[] = self::among(IndexTerms::FIRST, [$clause->runs[0][0]]);
        }
        $last = $clause->runs[\count($clause->runs) - 1];
        if (ChainPart::Ends === $clause->place) {
            $terms[] = self::among(IndexTerms::LAST, [$last[\count($last) - 1]]);
        }
        foreach ($clause->runs as $run) {
            foreach ($run as $index => $pattern) {
                if (
                    isset($run[$index + 1])
                    && \count($pattern->items()) * \count($run[$index + 1]->items()) <= self::MAX_PAIRS
                ) {
                    $terms[] = self::among(IndexTerms::HAS, [$pattern, $run[$index + 1]]);
                } elseif (0 === $index || \count($run) === $index + 1) {
                    $terms[] = self::among(IndexTerms::HAS, [$pattern]);
                }
            }
        }
        // Where one term is sufficient the row need not be read: a single item, or two consecutive ones.
        $says = match (true) {
            ChainPart::Has !== $clause->place => 1 === \count($clause->runs) && 1 === \count($clause->runs[0]),
            default => 1 === \count($terms) && 1 === \count($clause->runs),
        };

        return new Criterion($row, [$says ? new Alternative([$terms[0]]) : new Alternative($terms, $row)]);
    }

    /** @param list<ItemPattern> $patterns one or two */
    private static function among(string $kind, array $patterns): SqlCondition
    {
        $terms = [$kind];
        foreach ($patterns as $pattern) {
            $longer = [];
            foreach ($terms as $term) {
                foreach ($pattern->items() as $item) {
                    $longer[$term.IndexTerms::item($item)] = true;
                }
            }
            $terms = array_map(strval(...), array_keys($longer));
        }

        return SqlCondition::in($terms);
    }

    public function words(WordsClause $clause): Criterion
    {
        $items = null === $clause->items ? null : $this->items($clause->items);
        $like = static fn (string $word): string => addcslashes($word, '%_\\').'%';
        if ($this->archived) {
            $rows = SqlCondition::joined('(', ' AND ', ')', array_map(
                static fn (string $word): SqlCondition => new SqlCondition(
                    "LOWER(CONCAT_WS(' ', c.name, c.themes, c.note)) LIKE ?",
                    '%'.$like($word),
                ),
                $clause->words,
            ));

            return new Criterion(
                null === $items?->row ? $rows : SqlCondition::joined('', ' OR ', '', [$rows, $items->row]),
            );
        }
        $byLength = $clause->words;
        usort($byLength, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        $words = new Alternative(array_map(
            static fn (string $word): SqlCondition => new SqlCondition('LIKE ?', $like($word)),
            $byLength,
        ));

        return new Criterion(null, [$words, ...$items->alternatives ?? []]);
    }

    public function drilled(DrilledClause $clause): Criterion
    {
        if (null === $clause->days) {
            return new Criterion(
                new SqlCondition($clause->wanted ? 'c.drilled_at IS NOT NULL' : 'c.drilled_at IS NULL'),
            );
        }
        $since = $this->today->modify("-{$clause->days} days")->format('Y-m-d');

        return new Criterion(new SqlCondition(
            $clause->wanted ? 'c.drilled_at >= ?' : 'c.drilled_at IS NULL OR c.drilled_at < ?',
            $since,
        ));
    }

    public function duration(DurationClause $clause): Criterion
    {
        return new Criterion(
            new SqlCondition('c.length_ms '.($clause->longer ? '>' : '<').' ?', $clause->limitMs),
        );
    }

    public function newSince(NewClause $clause): Criterion
    {
        $since = $this->today->modify('-'.($clause->days - 1).' days')->setTime(0, 0);

        return new Criterion(new SqlCondition(
            'c.created_at >= ?',
            $since->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s'),
        ));
    }

    public function field(FieldClause $clause): Criterion
    {
        $like = addcslashes($clause->value, '%_\\').'%';
        if ('theme' === $clause->name) {
            return $this->archived
                ? new Criterion(new SqlCondition('c.themes LIKE ?', '%'.$like))
                : new Criterion(
                    null,
                    [new Alternative([new SqlCondition('LIKE ?', IndexTerms::THEME.$like)])],
                );
        }
        if ('rules' === $clause->name) {
            return self::rules($clause->value);
        }
        if (\in_array($clause->name, ['level', 'verdict', 'stance'], true)) {
            return self::column($clause->name, $clause->value);
        }
        if ('author' === $clause->name) {
            $authors = $this->accounts->named($clause->value);

            return self::trait(
                SqlCondition::in($authors)->within('c.author_id '),
                SqlCondition::in(
                    array_map(static fn (int $id): string => IndexTerms::trait('author', $id), $authors),
                ),
            );
        }

        return new Criterion(
            match ($clause->name) {
                'status' => 'archived' === $clause->value
                    ? new SqlCondition('1 = 1')
                    : new SqlCondition(
                        "c.id IN (SELECT combination_id FROM proposal WHERE state = 'open' "
                            .'AND combination_id IS NOT NULL)',
                    ),
                default => throw new \LogicException('There is no field '.$clause->name),
            },
        );
    }
}
