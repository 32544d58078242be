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
     * @param float $tempo of the round, or of a set
     * @param int $times how often the round is done
     * @param Purpose|null $purpose of the round, or of a set; null when it has none
     * @param int|null $track whose lane it is; everybody's when null
     */
    public function __construct(
        public SessionPlan $plan,
        public Medium $medium,
        public RoundStance $stance,
        public float $tempo,
        public int $times,
        public ?Purpose $purpose = null,
        public ?int $track = null,
    ) {
    }

    public function ofTrack(int $track): self
    {
        return $this->with($this->tempo, $this->purpose, $track);
    }

    /** Returns what holds for one set. */
    public function ofSet(float $tempo, ?Purpose $purpose): self
    {
        return $this->with($tempo, $purpose, $this->track);
    }

    public function options(): CheckOptions
    {
        return $this->plan->options($this->medium, $this->purpose, $this->tempo);
    }

    private function with(float $tempo, ?Purpose $purpose, ?int $track): self
    {
        return new self(
            plan: $this->plan,
            medium: $this->medium,
            stance: $this->stance,
            tempo: $tempo,
            times: $this->times,
            purpose: $purpose,
            track: $track,
        );
    }

    public function level(): int
    {
        return $this->plan->level($this->track);
    }
}
