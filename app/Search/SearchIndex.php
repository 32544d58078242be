<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\Combination;
use Periplus\App\Combination\CombinationContent;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Similarity\DeletionNeighbourhood;

/** Keeps what a combination in use is found by: its terms, and the deletion neighbourhood of its chain. What is archived is not kept here. */
final readonly class SearchIndex
{
    private const ROWS = 500;

    public function __construct(private Connection $connection, private IndexTerms $terms)
    {
    }

    /** Inside the transaction that stores it. */
    public function put(Combination $combination, CheckSummary $checked): void
    {
        $this->connection->delete('index_term', ['combination_id' => $combination->id()]);
        $this->connection->delete('deletion_neighbour', ['combination_id' => $combination->id()]);
        if ($combination->isInUse()) {
            $this->fill([[$combination->id(), $combination->content(), $checked, $combination->author()->id(), $combination->author()->name()]]);
        }
    }

    /**
     * Everything anew, batch by batch: what is kept of a chain for search and likeness follows the core.
     *
     * @param \Closure(CombinationContent): CheckSummary $check
     */
    public function refill(\Closure $check): void
    {
        for ($last = 0;;) {
            /** @var list<array{id: int|string, name: string, notation: string, stance: string, rules: string, themes: string, level: int|string, level_chosen: int|string|null, note: string, archived_at: string|null, author_id: int|string, author: string}> $rows */
            $rows = $this->connection->fetchAllAssociative('SELECT c.id, c.name, notation, stance, rules, themes, level, level_chosen, note, c.archived_at, c.author_id, u.name AS author FROM combination c JOIN user u ON u.id = c.author_id WHERE c.id > ? ORDER BY c.id LIMIT '.self::ROWS, [$last]);
            if ([] === $rows) {
                return;
            }
            $this->connection->transactional(function () use ($rows, $check): void {
                $filled = [];
                foreach ($rows as $row) {
                    $content = CombinationContent::ofRow($row);
                    $checked = $check($content);
                    $content = $content->settled($checked);
                    $this->connection->executeStatement('UPDATE combination SET sequence = ?, stem = ?, strikes = ?, contacts = ?, weapons = ?, level = ?, level_chosen = ? WHERE id = ?', [$checked->sequence, $checked->stem, $checked->strikes, $checked->contacts, $checked->weapons, $content->level, (int) $content->levelChosen, $row['id']]);
                    if (null === $row['archived_at']) {
                        $filled[] = [(int) $row['id'], $content, $checked, (int) $row['author_id'], $row['author']];
                    }
                }
                foreach (['index_term', 'deletion_neighbour'] as $table) {
                    $this->connection->executeStatement('DELETE FROM '.$table.' WHERE combination_id BETWEEN ? AND ?', [$rows[0]['id'], $rows[\count($rows) - 1]['id']]);
                }
                $this->fill($filled);
            });
            $last = (int) $rows[\count($rows) - 1]['id'];
        }
    }

    /** @param iterable<array{int, CombinationContent, CheckSummary, int, string}> $combinations id, content, check, author and their name, of what has no terms and traces yet */
    public function fill(iterable $combinations): void
    {
        [$terms, $hashes] = [[], []];
        foreach ($combinations as [$id, $content, $checked, $author, $authorName]) {
            foreach ($this->terms->of($content, $checked, $author, $authorName) as $term) {
                array_push($terms, $term, $id);
            }
            foreach (DeletionNeighbourhood::of(Sequence::read($checked->sequence)) as $hash) {
                array_push($hashes, $hash, $id);
            }
            if (\count($terms) + \count($hashes) > 4 * self::ROWS) {
                $this->insert($terms, $hashes);
                [$terms, $hashes] = [[], []];
            }
        }
        $this->insert($terms, $hashes);
    }

    /**
     * @param list<int|string> $terms
     * @param list<int|string> $hashes
     */
    private function insert(array $terms, array $hashes): void
    {
        foreach (['index_term (term, combination_id)' => $terms, 'deletion_neighbour (hash, combination_id)' => $hashes] as $table => $values) {
            if ([] !== $values) {
                $this->connection->executeStatement('INSERT INTO '.$table.' VALUES '.implode(', ', array_fill(0, intdiv(\count($values), 2), '(?, ?)')), $values);
            }
        }
    }
}
