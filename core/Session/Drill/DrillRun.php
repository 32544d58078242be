<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\Exercise;
use Periplus\Core\Technique\Stance;
use Random\Engine\Mt19937;
use Random\Randomizer;

use function Periplus\Core\Language\t;

/** A stretch of work in which a drill is done. */
final readonly class DrillRun
{
    /**
     * @param list<PlannedCombination> $combinations
     * @param int $seconds of this stretch
     * @param int $level of those who work, 1 to 3
     * @param int $seed from which chance is drawn
     * @param int $repeat which time the round is done, from 0
     * @param int $times how often the round is done
     * @param Advice|null $advice of the gym; what ships when null
     * @param list<PlannedCombination> $drilled before it in the session
     * @param (\Closure(): list<string>)|null $themes of the gym's library; any word is one when null
     * @param bool $isRest whether it is done in the rest after a round
     * @param Chain|null $comes what is thrown first in the round that comes after a rest
     */
    public function __construct(
        public array $combinations,
        public Parameters $parameters,
        public int $seconds,
        public CheckOptions $options,
        public Numbering $numbering,
        public int $level = 2,
        public RoundStance $stance = RoundStance::Own,
        public int $seed = 1,
        public int $repeat = 0,
        public int $times = 1,
        public ?Advice $advice = null,
        public array $drilled = [],
        public ?\Closure $themes = null,
        public bool $isRest = false,
        public ?Chain $comes = null,
    ) {
    }

    /** Returns the exercise with that id from the gym's own list, or null. */
    public function exercise(string $id): ?Exercise
    {
        return ($this->advice ?? Advice::builtIn())->exercises[$id] ?? null;
    }

    /** Tells whether the gym's library has a theme of that name. */
    public function knowsTheme(string $theme): bool
    {
        return null === $this->themes
            || \in_array(mb_strtolower($theme), array_map(mb_strtolower(...), ($this->themes)()), true);
    }

    /** Returns the random generator, reset to its seed: the same calls give the same numbers. */
    public function chance(): Randomizer
    {
        return new Randomizer(new Mt19937($this->seed));
    }

    public function ms(): int
    {
        return 1000 * $this->seconds;
    }

    /** @return list<Chain> */
    public function chains(): array
    {
        return array_map(
            static fn (PlannedCombination $combination): Chain => $combination->inStance->chain,
            $this->combinations,
        );
    }

    public function chain(): Chain
    {
        return $this->combinations[0]->inStance->chain;
    }

    public function write(Chain $chain): string
    {
        return (new Writer($this->numbering))->write(new ChainInStance($chain, Stance::Orthodox));
    }

    /** Returns the time from the start to the last release at the tempo of the plan, in whole ms. */
    public function length(Chain $chain): int
    {
        // Cached, because cues and the load of each stance ask for the same chain.
        static $lasting = null;
        /** @var \WeakMap<Chain, array<string, int>> $known */
        $known = $lasting ??= new \WeakMap();
        $key = spl_object_id($this->options->rules).' '.$this->options->tempo;
        $lengths = $known[$chain] ?? [];
        $lengths[$key] ??= (int) ceil(
            Check::builtIn()->model->timing($chain, $this->options->rules, $this->options->tempo)->length(),
        );
        $known[$chain] = $lengths;

        return $lengths[$key];
    }

    public function check(Chain $chain): CheckResult
    {
        return Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), $this->options);
    }

    /** Returns the time between repetitions, in ms. */
    public function gap(): int
    {
        return SessionValues::builtIn()->gapMs($this->level);
    }

    /** Returns the time of one strike of the athlete's choice at the tempo of the plan, in ms. */
    public function freeStrikeMs(): float
    {
        return $this->options->rules->calibration->catalogue()->body->freeStrike * $this->options->tempo;
    }

    /** Returns the time of one repetition with the gap after it, in ms. */
    public function period(Chain $chain): int
    {
        return $this->length($chain) + $this->gap();
    }

    /**
     * Returns a cue with a chain. Its text is the chain with what comes before and after it, unless one is given.
     *
     * @param list<int> $marked
     * @param list<Beside> $beside
     */
    public function show(
        int $atMs,
        CueKind $kind,
        Chain $chain,
        ?string $text = null,
        ?RoundStance $stance = null,
        array $marked = [],
        ?string $before = null,
        ?string $after = null,
        ?string $short = null,
        array $beside = [],
    ): DrillCue {
        $written = (null === $before ? '' : $before.' ').$this->write($chain).(null === $after ? '' : ', '.$after);

        return new DrillCue(
            atMs: $atMs,
            kind: $kind,
            text: $text ?? $written,
            chain: $chain,
            stance: $stance ?? $this->stance,
            marked: $marked,
            lengthMs: $this->length($chain),
            before: $before,
            after: $after,
            short: $short,
            beside: $beside,
            options: $this->options,
        );
    }

    /** Returns a sentence when the gym does not have the exercise of a parameter. */
    public function unknownExercise(string $parameter): ?DrillProblem
    {
        $id = $this->parameters->text($parameter);

        return null !== $this->exercise($id)
            ? null
            : new DrillProblem(
                t(
                    'The gym has no exercise "{id}". Choose another, or add it to the list.',
                    id: mb_strimwidth($id, 0, 40, '…'),
                ),
                'parameters.'.$parameter,
            );
    }

    /** Returns a sentence when a chain of the drill breaks, though it is none of the combinations. */
    public function breaking(Chain $chain, string $field): ?DrillProblem
    {
        return Verdict::Breaks !== $this->check($chain)->linkVerdict
            ? null
            : new DrillProblem(t('{chain} breaks.', chain: $this->write($chain)), $field, false);
    }

    public function cue(int $atMs, CueKind $kind, string $text, ?string $short = null): DrillCue
    {
        return new DrillCue($atMs, $kind, $text, null, $this->stance, short: $short);
    }

    /** Returns this drill in less time. */
    public function lasting(int $seconds): self
    {
        return $this->with($seconds, $this->options);
    }

    /** Returns this drill at another tempo. */
    public function atTempo(float $tempo): self
    {
        return $this->with($this->seconds, $this->options->atTempo($tempo));
    }

    private function with(int $seconds, CheckOptions $options): self
    {
        return new self(
            combinations: $this->combinations,
            parameters: $this->parameters,
            seconds: $seconds,
            options: $options,
            numbering: $this->numbering,
            level: $this->level,
            stance: $this->stance,
            seed: $this->seed,
            repeat: $this->repeat,
            times: $this->times,
            advice: $this->advice,
            drilled: $this->drilled,
            themes: $this->themes,
            isRest: $this->isRest,
            comes: $this->comes,
        );
    }

    /**
     * Cuts the set into stretches of equal length; the last one may be shorter. Each is about the next of the items,
     * which begin again after the last.
     *
     * @template T
     *
     * @param list<T> $items
     *
     * @return list<Stretch<T>> none without items
     */
    public function stretches(int $ms, array $items): array
    {
        $stretches = [];
        for ($fromMs = $index = 0; [] !== $items && $fromMs < $this->ms(); $fromMs += $ms, ++$index) {
            $stretches[] = new Stretch($fromMs, min($ms, $this->ms() - $fromMs), $items[$index % \count($items)]);
        }

        return $stretches;
    }
}
