<?php

declare(strict_types=1);

namespace Periplus\App\LogFile;

/** What was imported of a file at a time. */
final readonly class ImportedPart
{
    /**
     * @param int $known number of entries that were in the logbook already
     * @param int|null $next from which entry to go on; null at the end
     * @param int $total number of entries of the file
     */
    public function __construct(public int $new, public int $known, public ?int $next, public int $total)
    {
    }
}
