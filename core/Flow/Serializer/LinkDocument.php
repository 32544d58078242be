<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Serializer;

use Periplus\Core\Flow\Timing\ChainTiming;
use Periplus\Core\Flow\Timing\Link;
use Periplus\Core\Flow\Timing\Seam;
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

    /** @param string $reason in plain words */
    private function __construct(Link $link, string $reason, ?int $to = null)
    {
        $this->from = $link->from();
        $this->to = $to ?? $link->to;
        $this->waitMs = (int) round($link->wait);
        $this->verdict = $link->verdict;
        $this->cause = $link->cause?->value;
        $this->reason = $reason;
        $this->parts = new \ArrayObject(
            array_map(static fn (float $ms): int => (int) round($ms), $link->parts),
        );
    }

    public static function of(Link $link, ChainTiming $timing): self
    {
        return new self($link, $timing->reason($link));
    }

    /** Writes the link of a chain as a loop: it goes to the first item. */
    public static function ofSeam(Seam $seam): self
    {
        return new self($seam->link, $seam->reason(), 0);
    }
}
