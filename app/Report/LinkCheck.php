<?php

declare(strict_types=1);

namespace Periplus\App\Report;

use Periplus\Core\Flow\Timing\Verdict;

/** What the check says of a link. */
final readonly class LinkCheck
{
    /** @param float $wait ms */
    public function __construct(public Verdict $verdict, public float $wait, public string $reason)
    {
    }
}
