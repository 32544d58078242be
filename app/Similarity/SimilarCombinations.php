<?php

declare(strict_types=1);

namespace Periplus\App\Similarity;

use Periplus\App\Combination\ChainRow;
use Periplus\App\Combination\ChainTable;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StanceConverter;
use Periplus\Core\Similarity\DeletionNeighbourhood;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Similarity\Family;
use Periplus\Core\Similarity\Relation;
use Periplus\Core\Technique\Catalogue;

/**
 * Finds combinations similar to a chain: the same, its mirror, near, contained in it or containing it; and families. It
 * uses indices; only combinations that contain the chain are found by scanning the sequences.
 */
final readonly class SimilarCombinations
{
    private const MAX_RESULTS = 300;
    /** Maximum number of pairs considered. */
    private const MAX_PAIRS = 4000;

    public function __construct(
        private ChainTable $chains,
        private NeighbourIndex $neighbours,
        private Catalogue $catalogue,
    ) {
    }

    /** @return list<RelatedChain> the closest first; what contains it, too */
    public function find(ChainInStance $inStance, ?int $except = null): array
    {
        $sequence = Sequence::of($inStance->chain);
        $rows = $this->near($sequence);
        if (\count($sequence->items) > 1) {
            array_push(
                $rows,
                ...$this->chains->withSequences([
                    ...$sequence->beginnings(),
                    ...\array_slice($sequence->runs(), 0, 2000),
                ]),
                ...$this->chains->holding($sequence->text(), self::MAX_RESULTS),
            );
        }

        return $this->related($inStance, $rows, $except);
    }

    /**
     * Returns the closest combination for each of many chains, from the index of neighbourhoods; candidates are fetched
     * together.
     *
     * @template TKey of array-key
     *
     * @param array<TKey, ChainInStance> $chains
     *
     * @return array<TKey, RelatedChain> without those that nothing is near to
     */
    public function nearest(array $chains): array
    {
        $hashes = array_map(
            static fn (ChainInStance $chain): array => DeletionNeighbourhood::hashes(Sequence::of($chain->chain)),
            $chains,
        );
        if ([] === $hashes) {
            return [];
        }
        $ids = $this->neighbours->near(array_values(array_unique(array_merge(...array_values($hashes)))));
        $rows = [];
        foreach ($this->chains->withIds(self::merged($ids)) as $row) {
            $rows[$row->id] = $row;
        }
        $mirrors = array_map(fn (ChainInStance $chain): string => $this->mirror($chain)->text(), $chains);
        $mirrored = [];
        foreach ($this->chains->withSequences(array_values(array_unique($mirrors))) as $row) {
            $mirrored[$row->sequence][] = $row;
        }
        $nearest = [];
        foreach ($chains as $key => $chain) {
            $candidates = array_intersect_key(
                $rows,
                array_flip(
                    array_merge(...array_map(static fn (string $hash): array => $ids[$hash] ?? [], $hashes[$key])),
                ),
            );
            $found = $this->withMirrors(
                $this->compared($chain, array_values($candidates)),
                $mirrored[$mirrors[$key]] ?? [],
            );
            if ([] !== $found) {
                $nearest[$key] = self::closestFirst($found)[0];
            }
        }

        return $nearest;
    }

    /**
     * @param list<ChainRow> $rows candidates
     *
     * @return list<RelatedChain>
     */
    private function related(ChainInStance $chain, array $rows, ?int $except): array
    {
        $found = $this->withMirrors(
            $this->compared($chain, $rows),
            $this->chains->withSequences([$this->mirror($chain)->text()]),
        );
        unset($found[$except ?? 0]);

        return self::closestFirst($found);
    }

    /** Returns the chain that the same limbs throw in the other stance. */
    private function mirror(ChainInStance $chain): Sequence
    {
        return Sequence::of((new StanceConverter($this->catalogue))->carry($chain)->inStance->chain);
    }

    /**
     * @param array<int, RelatedChain> $found
     * @param list<ChainRow> $mirrors
     *
     * @return array<int, RelatedChain> with those that are mirrors and nothing closer
     */
    private function withMirrors(array $found, array $mirrors): array
    {
        foreach ($mirrors as $row) {
            $found[$row->id] ??= new RelatedChain($row, Relation::Mirror, 0.0);
        }

        return $found;
    }

    /**
     * @param list<ChainRow> $rows candidates
     *
     * @return array<int, RelatedChain> those that are related, by id
     */
    private function compared(ChainInStance $chain, array $rows): array
    {
        $sequence = Sequence::of($chain->chain);
        $distance = EditDistance::builtIn();
        $found = [];
        foreach ($rows as $row) {
            $other = Sequence::read($row->sequence);
            $relation = Relation::between($sequence, $other, $distance);
            if (null !== $relation) {
                $found[$row->id] = new RelatedChain($row, $relation, $distance->distance($sequence, $other));
            }
        }

        return $found;
    }

    /**
     * @param array<int, RelatedChain> $found
     *
     * @return list<RelatedChain>
     */
    private static function closestFirst(array $found): array
    {
        usort($found, RelatedChain::compare(...));

        return $found;
    }

    /** @return list<ChainRow> what it grew from, the first beginning first */
    public function ancestors(Sequence $sequence): array
    {
        $beginnings = Family::stem($sequence)->beginnings();
        $rows = $this->chains->withStems($beginnings);
        usort(
            $rows,
            static fn (ChainRow $a, ChainRow $b): int => [\strlen($a->stem), $a->id] <=> [\strlen($b->stem), $b->id],
        );

        // Of several with one stem, one represents all.
        return array_values(array_column($rows, null, 'stem'));
    }

    /** @return list<ChainRow> what it holds as a run that is not its beginning, the longest first */
    public function contained(Sequence $sequence): array
    {
        $rows = $this->chains->withSequences(\array_slice($sequence->runs(), 0, 2000));
        usort($rows, static fn (ChainRow $a, ChainRow $b): int => \strlen($b->sequence) <=> \strlen($a->sequence));

        return $rows;
    }

    /** @return list<ChainRow> what grows from it, in rising order of the stems */
    public function descendants(Sequence $sequence): array
    {
        return $this->chains->grownFrom(Family::stem($sequence)->text(), self::MAX_RESULTS);
    }

    /**
     * Returns the closest pairs of the whole library: they differ only in effort, a target, or one item.
     *
     * @return list<RelatedPair> the closest first
     */
    public function pairs(int $most): array
    {
        $pairs = $this->neighbours->pairs(self::MAX_PAIRS);
        $rows = [];
        foreach ($this->chains->withIds(array_values(array_unique(array_merge(...$pairs)))) as $row) {
            $rows[$row->id] = $row;
        }
        $found = [];
        $distance = EditDistance::builtIn();
        foreach ($pairs as [$one, $other]) {
            if (!isset($rows[$one], $rows[$other])) {
                continue;
            }
            [$first, $second] = [Sequence::read($rows[$one]->sequence), Sequence::read($rows[$other]->sequence)];
            $relation = Relation::between($first, $second, $distance);
            if (\in_array($relation, [Relation::Same, Relation::TargetDiffers, Relation::OneApart], true)) {
                $found[] = new RelatedPair(
                    $rows[$one],
                    $rows[$other],
                    $relation,
                    $distance->distance($first, $second),
                );
            }
        }
        usort($found, RelatedPair::compare(...));

        return \array_slice($found, 0, $most);
    }

    /** Computes the families of the whole library in one walk. */
    public function overview(int $most): FamilyOverview
    {
        $parents = Family::parents($this->chains->stems());
        $members = [];
        foreach ($parents as $id => $parent) {
            $root = $id;
            while (null !== ($parents[$root] ?? null)) {
                $root = $parents[$root];
            }
            $members[$root] = ($members[$root] ?? -1) + 1;
        }
        arsort($members);
        $orphans = array_keys($members, 0, true);
        $roots = \array_slice(
            array_filter($members, static fn (int $count): bool => $count > 0),
            0,
            $most,
            true,
        );
        $shown = array_flip(\array_slice($orphans, 0, $most));
        $rows = [];
        foreach ($this->chains->withIds([...array_keys($roots), ...array_keys($shown)]) as $row) {
            $rows[$row->id] = $row;
        }
        $orphanRows = array_values(array_intersect_key($rows, $shown));
        usort($orphanRows, static fn (ChainRow $a, ChainRow $b): int => $a->name <=> $b->name);

        return new FamilyOverview($orphanRows, \count($orphans), $roots, array_intersect_key($rows, $roots));
    }

    /** @return list<ChainRow> what shares a hash of its neighbourhood */
    private function near(Sequence $sequence): array
    {
        return $this->chains->withIds(self::merged($this->neighbours->near(DeletionNeighbourhood::hashes($sequence))));
    }

    /**
     * @param array<string, list<int>> $ids
     *
     * @return list<int> none twice
     */
    private static function merged(array $ids): array
    {
        return array_values(array_unique(array_merge(...array_values($ids))));
    }
}
