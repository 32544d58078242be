<?php

declare(strict_types=1);

namespace Periplus\App\Syllabus;

use Periplus\App\Report\CombinationBrief;

/** A week of a file, with those of its combinations that the library has. */
final readonly class ReadWeek
{
    /** @param list<CombinationBrief> $combinations */
    public function __construct(public string $theme, public string $note, public array $combinations)
    {
    }
}
