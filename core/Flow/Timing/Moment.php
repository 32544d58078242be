<?php

declare(strict_types=1);

namespace Periplus\Core\Flow\Timing;

/**
 * When an item happens and how it leaves the body. Times in ms from the start of the chain; load as the share of the
 * weight on the lead foot, turn of the hips -1..1, range as a band 1..5.
 */
final readonly class Moment
{
    /**
     * @param float|null $impact null for what does not land
     * @param float $end the release: impact of an arm, the foot down again after a leg, the end of a move
     * @param float $loadFrom load at the start, any wait included
     * @param int|null $met band in which a strike meets the opponent, which a landing or a leg on its way back may
     *                      leave; null for what does not land
     */
    public function __construct(
        public float $start,
        public ?float $impact,
        public float $end,
        public float $loadFrom,
        public float $load,
        public float $turn,
        public int $range,
        public ?int $met = null,
    ) {
    }

    /** Returns when a strike lands, and the middle of anything else, in whole ms. */
    public function centreMs(): int
    {
        return (int) round($this->impact ?? (round($this->start) + round($this->end)) / 2);
    }

    /** Returns the moment of a kick whose foot does not come down: it ends as the same leg kicks again. */
    public function until(float $ms): self
    {
        return new self(
            start: $this->start,
            impact: $this->impact,
            end: $ms,
            loadFrom: $this->loadFrom,
            load: $this->load,
            turn: $this->turn,
            range: $this->range,
            met: $this->met,
        );
    }

    public function later(float $ms): self
    {
        return new self(
            start: $this->start + $ms,
            impact: null === $this->impact ? null : $this->impact + $ms,
            end: $this->end + $ms,
            loadFrom: $this->loadFrom,
            load: $this->load,
            turn: $this->turn,
            range: $this->range,
            met: $this->met,
        );
    }
}
