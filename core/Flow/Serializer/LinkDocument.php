<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Verdict;

/** A link of a check: from one item to the next. */
final readonly class LinkDocument
{
    public int $from;
    public int $to;
    public int $waitMs;
    public Verdict $verdict;
    public ?string $cause;
    public string $reason;
    /** @var \ArrayObject<string, int> ms by cause */
    public \ArrayObject $parts;

    public function __construct(Link $link, ChainTiming $timing)
    {
        $this->from = $link->from();
        $this->to = $link->to;
        $this->waitMs = (int) round($link->wait);
        $this->verdict = $link->verdict;
        $this->cause = $link->cause?->value;
        $this->reason = $timing->reason($link);
        $this->parts = new \ArrayObject(
            array_map(static fn (float $ms): int => (int) round($ms), $link->parts),
        );
    }
}
