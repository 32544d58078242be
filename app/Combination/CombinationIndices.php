<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Updates all indices together. */
final readonly class CombinationIndices
{
    /** Number of combinations in one statement. */
    private const BATCH_SIZE = 500;

    /** @param iterable<CombinationIndex> $indices */
    public function __construct(
        private EntityManagerInterface $entities,
        private CombinationTable $table,
        #[AutowireIterator(CombinationIndex::class)]
        private iterable $indices,
    ) {
    }

    /** Must be called inside the transaction that stores the combination; only archived ones have no check. */
    public function put(Combination $combination, ?CheckSummary $check): void
    {
        foreach ($this->indices as $index) {
            $index->remove($combination->id(), $combination->id());
            if ($combination->isInUse() && null !== $check) {
                $index->add([
                    new IndexedCombination(
                        $combination->id(),
                        $combination->content(),
                        $check,
                        $combination->author()->person(),
                    ),
                ]);
            }
        }
    }

    /** @param list<IndexedCombination> $combinations none of which is in an index yet */
    public function add(array $combinations): void
    {
        foreach ($this->indices as $index) {
            $index->add($combinations);
        }
    }

    /**
     * Rebuilds the indices batch by batch, needed when the core changes.
     *
     * @param \Closure(CombinationContent): CheckSummary $check
     */
    public function refill(\Closure $check): void
    {
        for ($last = 0; [] !== ($summaries = $this->table->after($last, self::BATCH_SIZE));) {
            $last = $summaries[\count($summaries) - 1]->id;
            $this->entities->wrapInTransaction(function () use ($summaries, $check, $last): void {
                $inUse = [];
                foreach ($summaries as $summary) {
                    $checked = $check($summary->content);
                    $content = $summary->content->settled($checked);
                    $this->table->storeCheck($summary->id, $content, $checked);
                    if (null === $summary->archivedAt) {
                        $inUse[] = new IndexedCombination(
                            $summary->id,
                            $content,
                            $checked,
                            $summary->author,
                        );
                    }
                }
                foreach ($this->indices as $index) {
                    $index->remove($summaries[0]->id, $last);
                    $index->add($inUse);
                }
            });
        }
    }
}
