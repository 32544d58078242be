<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Flow\Timing\Seam;
use Periplus\Core\Flow\Timing\Verdict;

/** A chain that is repeated in a set: the link from its end back to its start. */
final readonly class SeamDocument
{
    public Verdict $verdict;
    public int $waitMs;
    public string $reason;

    /**
     * @param string $place of the set in the plan
     * @param string $chain in the numbering of the plan
     * @param int $gapMs between the repetitions
     */
    public function __construct(public string $place, public string $chain, public int $gapMs, Seam $seam)
    {
        $this->verdict = $seam->link->verdict;
        $this->waitMs = (int) round($seam->link->wait);
        $this->reason = $seam->reason();
    }
}
