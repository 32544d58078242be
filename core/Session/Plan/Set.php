<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\RoundStance;

use function Periplus\Core\Language\t;

/** A stretch of work on one thing. */
final readonly class Set
{
    /**
     * @param string $place such as blocks[1].rounds[0].sets[2]
     * @param string $where the same in words
     * @param int $seconds of work
     * @param list<PlannedCombination> $combinations
     * @param CheckOptions $options its tempo and purpose, or those of the round
     * @param PlannedCombination|null $easier a form that who needs it throws instead
     * @param PlannedCombination|null $harder a form that who is ready for it throws instead
     * @param list<PlannedCombination> $drilled of the sets before it, each once
     * @param Station $station where it stands in the round
     */
    public function __construct(
        public string $place,
        public string $where,
        public Drill $drill,
        public int $seconds,
        public array $combinations,
        public Parameters $parameters,
        public CheckOptions $options,
        public string $note = '',
        public ?PlannedCombination $easier = null,
        public ?PlannedCombination $harder = null,
        public array $drilled = [],
        public Station $station = new Station(),
    ) {
    }

    /**
     * Returns the set as it is done by that track.
     *
     * @param int $seed from which chance is drawn
     * @param int $repeat which time the round is done, from 0
     * @param int $times how often the round is done
     * @param int|null $seconds of the part that is done without a break; all when null
     * @param (\Closure(): list<string>)|null $themes of the gym's library; any word is one when null
     * @param bool $isRest whether it is done in the rest after a round
     * @param Chain|null $comes what is thrown first in the round that comes after a rest
     */
    public function run(
        SessionPlan $plan,
        ?int $track,
        RoundStance $stance,
        ?Advice $advice,
        int $seed = 1,
        int $repeat = 0,
        int $times = 1,
        ?int $seconds = null,
        ?\Closure $themes = null,
        bool $isRest = false,
        ?Chain $comes = null,
    ): DrillRun {
        return new DrillRun(
            combinations: $this->combinations,
            parameters: $this->parameters,
            seconds: $seconds ?? $this->seconds,
            options: $this->options,
            numbering: $plan->numbering,
            level: $plan->level($track),
            stance: $stance,
            seed: $seed,
            repeat: $repeat,
            times: $times,
            advice: $advice,
            drilled: $this->drilled,
            themes: $themes,
            isRest: $isRest,
            comes: $comes,
        );
    }

    /** Returns the longest chain that is thrown in it, which shows all of it; null in free work. */
    public function thrown(DrillRun $run): ?Chain
    {
        $longest = null;
        foreach ($this->drill->portions($run) as $portion) {
            if (\count($portion->chain->items ?? []) > \count($longest->items ?? [])) {
                $longest = $portion->chain;
            }
        }

        return $longest;
    }

    /** Tells whether strikes are thrown in it, and not an exercise done or listened to. */
    public function throws(): bool
    {
        $definition = $this->drill->definition();

        return $definition->isWork && !$definition->inRest;
    }

    /** @return list<Beside> its easier and its harder form */
    public function forms(): array
    {
        $forms = [];
        foreach ([t('easier') => $this->easier, t('harder') => $this->harder] as $label => $form) {
            if (null !== $form) {
                $forms[] = new Beside($label, $form->inStance->chain);
            }
        }

        return $forms;
    }

    /** Returns the cue with its easier and its harder form beside the chain. */
    public function withForms(DrillCue $cue): DrillCue
    {
        return null === $cue->chain ? $cue : $cue->withBeside($this->forms());
    }

    public function lasting(int $seconds): self
    {
        return $this->with($seconds, $this->combinations, $this->station);
    }

    public function at(Station $station): self
    {
        return $this->with($this->seconds, $this->combinations, $station);
    }

    /** Returns the set with one of its combinations replaced. */
    public function swapped(int $combination, PlannedCombination $other): self
    {
        $combinations = isset($this->combinations[$combination])
            ? array_values(array_replace($this->combinations, [$combination => $other]))
            : $this->combinations;

        return $this->with($this->seconds, $combinations, $this->station);
    }

    /** @param list<PlannedCombination> $combinations */
    private function with(int $seconds, array $combinations, Station $station): self
    {
        return new self(
            place: $this->place,
            where: $this->where,
            drill: $this->drill,
            seconds: $seconds,
            combinations: $combinations,
            parameters: $this->parameters,
            options: $this->options,
            note: $this->note,
            easier: $this->easier,
            harder: $this->harder,
            drilled: $this->drilled,
            station: $station,
        );
    }
}
