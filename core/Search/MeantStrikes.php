<?php

declare(strict_types=1);

namespace Periplus\Core\Search;

use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/** The strikes that a phrase of a search means. */
final readonly class MeantStrikes
{
    /**
     * @param list<Strike> $strikes none when no strike is meant
     * @param Target|null $target null where any counts
     * @param string $name how it is said
     */
    public function __construct(public array $strikes = [], public ?Target $target = null, public string $name = '')
    {
    }
}
