<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StanceConverter;
use Periplus\Core\Similarity\DeletionNeighbourhood;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Similarity\Family;
use Periplus\Core\Similarity\Relation;
use Periplus\Core\Technique\Catalogue;

/**
 * What in the library is similar to a chain: the same, its mirror, near it, contained in it or containing it; and what grew
 * from what. Found through indices; only what contains a chain anywhere is looked for in a scan of the sequences.
 *
 * @phpstan-type Relative array{id: int, name: string, notation: string, stance: string, verdict: string}
 */
final readonly class SimilarCombinations
{
    private const COLUMNS = 'c.id, c.name, c.notation, c.stance, c.verdict, c.sequence, c.stem';
    private const MOST = 300;

    public function __construct(private Connection $connection, private Catalogue $catalogue)
    {
    }

    /** @return list<array{row: Relative, relation: Relation, distance: float}> the closest first; what contains it, too */
    public function of(ChainInStance $inStance, ?int $except = null): array
    {
        $sequence = Sequence::of($inStance->chain);
        $rows = $this->neighbours($sequence);
        if (\count($sequence->items) > 1) {
            array_push($rows, ...$this->withSequences([...$sequence->beginnings(), ...\array_slice($sequence->runs(), 0, 2000)]), ...$this->holding($sequence));
        }

        return $this->related($inStance, $rows, $except);
    }

    /**
     * The closest to each of many chains, from the index of neighbourhoods alone; their candidates are fetched at once.
     *
     * @template TKey of array-key
     *
     * @param array<TKey, ChainInStance> $chains
     *
     * @return array<TKey, array{row: Relative, relation: Relation, distance: float}> without those that nothing is near to
     */
    public function nearest(array $chains): array
    {
        $hashes = array_map(static fn (ChainInStance $chain): array => DeletionNeighbourhood::of(Sequence::of($chain->chain)), $chains);
        if ([] === $hashes) {
            return [];
        }
        $ids = [];
        foreach ($this->connection->fetchAllNumeric('SELECT hash, combination_id FROM deletion_neighbour WHERE hash IN (?)', [array_values(array_unique(array_merge(...array_values($hashes))))], [ArrayParameterType::BINARY]) as [$hash, $id]) {
            $ids[\is_string($hash) ? $hash : ''][] = is_numeric($id) ? (int) $id : 0;
        }
        $rows = [];
        $all = array_values(array_unique(array_merge(...array_values($ids), ...[[]])));
        foreach ([] === $all ? [] : $this->rows('c.id IN (?)', [$all], [ArrayParameterType::INTEGER]) as $row) {
            $rows[(int) $row['id']] = $row;
        }
        $mirrors = array_map(fn (ChainInStance $chain): string => $this->mirror($chain)->text(), $chains);
        $mirrored = [];
        foreach ($this->withSequences(array_values(array_unique($mirrors))) as $row) {
            $mirrored[$row['sequence']][] = $row;
        }
        $nearest = [];
        foreach ($chains as $key => $chain) {
            $candidates = array_intersect_key($rows, array_flip(array_merge(...array_map(static fn (string $hash): array => $ids[$hash] ?? [], $hashes[$key]))));
            $found = $this->withMirrors($this->compared($chain, array_values($candidates)), $mirrored[$mirrors[$key]] ?? []);
            if ([] !== $found) {
                $nearest[$key] = self::closestFirst($found)[0];
            }
        }

        return $nearest;
    }

    /**
     * @param list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}> $rows candidates
     *
     * @return list<array{row: Relative, relation: Relation, distance: float}>
     */
    private function related(ChainInStance $chain, array $rows, ?int $except): array
    {
        $found = $this->withMirrors($this->compared($chain, $rows), $this->withSequences([$this->mirror($chain)->text()]));
        unset($found[$except ?? 0]);

        return self::closestFirst($found);
    }

    /** The chain that the same limbs throw in the other stance. */
    private function mirror(ChainInStance $chain): Sequence
    {
        return Sequence::of((new StanceConverter($this->catalogue))->carry($chain)->inStance->chain);
    }

    /**
     * @param array<int, array{row: Relative, relation: Relation, distance: float}> $found
     * @param list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}> $mirrors
     *
     * @return array<int, array{row: Relative, relation: Relation, distance: float}> with those that are mirrors and nothing closer
     */
    private function withMirrors(array $found, array $mirrors): array
    {
        foreach ($mirrors as $row) {
            $found[(int) $row['id']] ??= ['row' => self::row($row), 'relation' => Relation::Mirror, 'distance' => 0.0];
        }

        return $found;
    }

    /**
     * @param list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}> $rows candidates
     *
     * @return array<int, array{row: Relative, relation: Relation, distance: float}> those that are related, by id
     */
    private function compared(ChainInStance $chain, array $rows): array
    {
        $sequence = Sequence::of($chain->chain);
        $distance = EditDistance::builtIn();
        $found = [];
        foreach ($rows as $row) {
            $other = Sequence::read($row['sequence']);
            $relation = Relation::between($sequence, $other, $distance);
            if (null !== $relation) {
                $found[(int) $row['id']] = ['row' => self::row($row), 'relation' => $relation, 'distance' => $distance->distance($sequence, $other)];
            }
        }

        return $found;
    }

    /**
     * @param array<int, array{row: Relative, relation: Relation, distance: float}> $found
     *
     * @return list<array{row: Relative, relation: Relation, distance: float}>
     */
    private static function closestFirst(array $found): array
    {
        $order = array_flip(array_map(static fn (Relation $relation): string => $relation->value, Relation::cases()));
        usort($found, static fn (array $a, array $b): int => [$order[$a['relation']->value], $a['distance'], $a['row']['name']] <=> [$order[$b['relation']->value], $b['distance'], $b['row']['name']]);

        return $found;
    }

    /** @return list<Relative> what it grew from, the first beginning first */
    public function ancestors(Sequence $sequence): array
    {
        $beginnings = Family::stem($sequence)->beginnings();
        $rows = [] === $beginnings ? [] : $this->rows('c.stem IN (?)', [$beginnings], [ArrayParameterType::BINARY]);
        usort($rows, static fn (array $a, array $b): int => [\strlen($a['stem']), $a['id']] <=> [\strlen($b['stem']), $b['id']]);
        // Of several with one stem the first stands for all.
        $rows = array_values(array_column($rows, null, 'stem'));

        return array_map(self::row(...), $rows);
    }

    /** @return list<Relative> what it holds as a run that is not its beginning, the longest first */
    public function contained(Sequence $sequence): array
    {
        $rows = $this->withSequences(\array_slice($sequence->runs(), 0, 2000));
        usort($rows, static fn (array $a, array $b): int => \strlen($b['sequence']) <=> \strlen($a['sequence']));

        return array_map(self::row(...), $rows);
    }

    /**
     * What grows from it, each with what it grew from.
     *
     * @return list<array{row: Relative, parent: int}> in rising order of the stems
     */
    public function descendants(int $id, Sequence $sequence): array
    {
        $text = Family::stem($sequence)->text();
        $rows = $this->rows('c.stem > ? AND c.stem < ? ORDER BY c.stem, c.id LIMIT '.self::MOST, [$text, $text."\xff"], [ParameterType::BINARY, ParameterType::BINARY]);
        $parents = Family::parents([[$id, $text], ...array_map(static fn (array $row): array => [(int) $row['id'], $row['stem']], $rows)]);

        return array_map(static fn (array $row): array => ['row' => self::row($row), 'parent' => $parents[(int) $row['id']] ?? $id], $rows);
    }

    /**
     * The whole library in one walk.
     *
     * @return array{orphans: list<Relative>, orphanCount: int, hubs: list<array{row: Relative, children: int}>}
     */
    public function overview(int $most): array
    {
        /** @var list<array{0: int|string, 1: string}> $all */
        $all = $this->connection->fetchAllNumeric('SELECT id, stem FROM combination WHERE archived_at IS NULL ORDER BY stem, id');
        $parents = Family::parents(array_map(static fn (array $row): array => [(int) $row[0], $row[1]], $all));
        $children = array_count_values(array_filter($parents, static fn (?int $parent): bool => null !== $parent));
        $orphans = array_keys(array_filter($parents, static fn (?int $parent, int $id): bool => null === $parent && !isset($children[$id]), \ARRAY_FILTER_USE_BOTH));
        arsort($children);
        $hubs = \array_slice($children, 0, $most, true);
        $named = [];
        foreach ($this->rows('c.id IN (?)', [[...array_keys($hubs), ...\array_slice($orphans, 0, $most)]], [ArrayParameterType::INTEGER]) as $row) {
            $named[(int) $row['id']] = self::row($row);
        }
        $orphanRows = array_values(array_intersect_key($named, array_flip(\array_slice($orphans, 0, $most))));
        usort($orphanRows, static fn (array $a, array $b): int => $a['name'] <=> $b['name']);
        $hubRows = [];
        foreach ($hubs as $id => $count) {
            $hubRows[] = ['row' => $named[$id], 'children' => $count];
        }

        return ['orphans' => $orphanRows, 'orphanCount' => \count($orphans), 'hubs' => $hubRows];
    }

    /** @return list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}> what shares a hash of its neighbourhood */
    private function neighbours(Sequence $sequence): array
    {
        return $this->rows('c.id IN (SELECT combination_id FROM deletion_neighbour WHERE hash IN (?))', [DeletionNeighbourhood::of($sequence)], [ArrayParameterType::BINARY]);
    }

    /** @return list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}> what holds it anywhere */
    private function holding(Sequence $sequence): array
    {
        $ids = $this->connection->fetchFirstColumn('SELECT id FROM combination FORCE INDEX (by_sequence) WHERE sequence LIKE ? LIMIT '.self::MOST, ['%'.$sequence->text().'%'], [ParameterType::BINARY]);

        return [] === $ids ? [] : $this->rows('c.id IN (?)', [$ids], [ArrayParameterType::INTEGER]);
    }

    /**
     * @param list<string> $sequences
     *
     * @return list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}>
     */
    private function withSequences(array $sequences): array
    {
        return [] === $sequences ? [] : $this->rows('c.sequence IN (?)', [$sequences], [ArrayParameterType::BINARY]);
    }

    /**
     * @param list<mixed> $values
     * @param list<ParameterType|ArrayParameterType> $types
     *
     * @return list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}>
     */
    private function rows(string $where, array $values, array $types): array
    {
        /** @var list<array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT '.self::COLUMNS.' FROM combination c WHERE c.archived_at IS NULL AND '.$where, $values, $types);

        return $rows;
    }

    /**
     * @param array{id: int|string, name: string, notation: string, stance: string, verdict: string, sequence: string, stem: string} $row
     *
     * @return Relative
     */
    private static function row(array $row): array
    {
        return ['id' => (int) $row['id'], 'name' => $row['name'], 'notation' => $row['notation'], 'stance' => $row['stance'], 'verdict' => $row['verdict']];
    }
}
