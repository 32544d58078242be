<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Periplus\App\Combination\CombinationTable;

/**
 * A compiled clause. The condition on the row always works. Where the index of terms can be used, each alternative is a
 * list of conditions that terms have to meet, and a condition on the row for what the terms cannot decide.
 *
 * @phpstan-type Condition array{string, list<mixed>}
 */
final readonly class Criterion
{
    /**
     * @param Condition|null $row on the row c; null where the terms alone can tell
     * @param list<array{list<Condition>, Condition|null}> $alternatives empty when the index does not help
     * @param bool $isTrait whether an index over the rows tells it as well, and many have it
     */
    public function __construct(public ?array $row, public array $alternatives = [], public bool $isTrait = false)
    {
    }

    /** @param list<self> $criteria */
    public static function allOfRows(array $criteria): bool
    {
        return [] === array_filter($criteria, static fn (self $criterion): bool => null === $criterion->row);
    }

    /** @param non-empty-list<self> $criteria of which one has to hold */
    public static function either(array $criteria): self
    {
        $rows = array_map(
            static fn (self $criterion): array => $criterion->row ?? self::among($criterion->ids()),
            $criteria,
        );
        $terms = [] === array_filter($criteria, static fn (self $criterion): bool => [] === $criterion->alternatives);

        return new self(
            // Terms are used when all parts have them, if at least one part needs them.
            $terms && !self::allOfRows($criteria)
                ? null
                : ['('.implode(') OR (', array_column($rows, 0)).')', array_merge(...array_column($rows, 1))],
            $terms ? array_merge(...array_column($criteria, 'alternatives')) : [],
            [] === array_filter($criteria, static fn (self $criterion): bool => !$criterion->isTrait),
        );
    }

    /**
     * @param Condition $select of ids
     *
     * @return Condition on the row c
     */
    private static function among(array $select): array
    {
        return ['c.id IN ('.$select[0].')', $select[1]];
    }

    /** @return Condition a select of the ids of all combinations in use that fulfil it */
    public function ids(): array
    {
        $values = [];
        $parts = [];
        foreach ($this->alternatives as [$terms, $row]) {
            $sets = array_map(
                static fn (array $term): string => 'SELECT combination_id AS id FROM index_term WHERE term '.$term[0],
                $terms,
            );
            $ids = [
                'SELECT i.id FROM ('.implode(' INTERSECT ', $sets).') i',
                array_merge(...array_column($terms, 1)),
            ];
            [$parts[], $more] = null === $row ? $ids : CombinationTable::among($ids, $row);
            array_push($values, ...$more);
        }

        // UNION removes duplicates, even of a single select.
        return [
            'SELECT id FROM ('
            .implode(' UNION ', 1 === \count($parts) ? [...$parts, 'SELECT 0 FROM DUAL WHERE 1 = 0'] : $parts)
            .') u',
            $values,
        ];
    }
}
