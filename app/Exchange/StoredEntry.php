<?php

declare(strict_types=1);

namespace Periplus\App\Exchange;

use Periplus\App\Combination\CombinationContent;

/** What is kept of an entry of a file that was read. */
final readonly class StoredEntry
{
    public function __construct(public bool $archived, public CombinationContent $content)
    {
    }
}
