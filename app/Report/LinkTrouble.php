<?php

declare(strict_types=1);

namespace Periplus\App\Report;

/** A link that fell apart or was measured at another time than the check expects. */
final readonly class LinkTrouble
{
    /**
     * @param int $link place in the chain
     * @param string $from the item before it, in words
     * @param string $to the item after it
     * @param int $fell in how many sessions it fell apart
     * @param int $times in how many sessions it was drilled
     * @param bool $disagrees coaches or measurements contradict the check
     * @param string $of key of the model's numbers behind it: a strike, a move or "body"
     */
    public function __construct(
        public CombinationBrief $combination,
        public int $link,
        public string $from,
        public string $to,
        public int $fell,
        public int $times,
        public LinkMeasures $measured,
        public LinkCheck $check,
        public bool $disagrees,
        public string $says,
        public string $rules,
        public string $of,
    ) {
    }

    /** Returns how much it matters, for sorting. */
    public function weight(): float
    {
        return $this->fell + $this->measured->slower + 0.5 * $this->measured->faster;
    }
}
