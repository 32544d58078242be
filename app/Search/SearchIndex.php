<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CombinationIndex;

/** Keeps the terms that combinations in use are found by. */
final readonly class SearchIndex implements CombinationIndex
{
    private const ROWS = 2000;

    public function __construct(private Connection $connection, private IndexTerms $terms)
    {
    }

    public function remove(int $first, int $last): void
    {
        $this->connection->executeStatement('DELETE FROM index_term WHERE combination_id BETWEEN ? AND ?', [$first, $last]);
    }

    public function add(array $combinations): void
    {
        $rows = [];
        foreach ($combinations as $combination) {
            foreach ($this->terms->of($combination->content, $combination->check, $combination->author, $combination->authorName) as $term) {
                array_push($rows, $term, $combination->id);
            }
        }
        foreach (array_chunk($rows, 2 * self::ROWS) as $chunk) {
            $this->connection->executeStatement('INSERT INTO index_term (term, combination_id) VALUES '.implode(', ', array_fill(0, intdiv(\count($chunk), 2), '(?, ?)')), $chunk);
        }
    }
}
