<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Technique\Medium;

/** What holds for every set of a lane: the plan, and what the round sets for itself. */
final readonly class RoundSettings
{
    /**
     * @param Purpose|null $purpose of the round; null when it has none
     * @param int|null $track whose lane it is; everybody's when null
     */
    public function __construct(
        public SessionPlan $plan,
        public Medium $medium,
        public RoundStance $stance,
        public ?Purpose $purpose = null,
        public ?int $track = null,
    ) {
    }

    public function ofTrack(int $track): self
    {
        return new self($this->plan, $this->medium, $this->stance, $this->purpose, $track);
    }

    public function options(): CheckOptions
    {
        return $this->plan->options($this->medium, $this->purpose);
    }

    public function level(): int
    {
        return $this->plan->level($this->track);
    }
}
