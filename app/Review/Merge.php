<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Combination\CombinationContent;

/** What an approval would store: the newest version with the fields that the proposal changes. */
final readonly class Merge
{
    /**
     * @param CombinationContent|null $base version that the proposal was based on
     * @param CombinationContent|null $newest version of the library
     * @param list<string> $changed fields that the proposal changes
     * @param list<string> $movedOn fields that the library changed meanwhile
     */
    public function __construct(
        public CombinationContent $result,
        public ?CombinationContent $base,
        public ?CombinationContent $newest,
        public array $changed = [],
        public array $movedOn = [],
    ) {
    }
}
