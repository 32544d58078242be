<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Load\TrackLoad;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\PlanReading;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Programme\SegmentKind;
use Periplus\Core\Session\Sequence\SharedPart;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warnings\WarningRegistry;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/** Reads a written plan and works out everything that follows from it. */
final readonly class SessionSerializer
{
    public function __construct(private PlanReader $reader)
    {
    }

    public function serialize(mixed $written): SessionDocument
    {
        return $this->ofReading($this->reader->read($written));
    }

    public function ofReading(PlanReading $reading): SessionDocument
    {
        $plan = $reading->plan;
        $programme = ProgrammeBuilder::build($plan, $this->reader->advice);
        $loads = $this->loads($programme);

        return new SessionDocument(
            name: $plan->name,
            seed: $plan->seed,
            lengthMs: $programme->lengthMs,
            tracks: array_map(
                fn (?int $track): TrackDocument => $this->track($programme, $track, $loads),
                $programme->tracks(),
            ),
            load: $this->loadOf($programme->tracks()[0], $loads),
            warnings: $this->warnings(new WarningContext($plan, $programme, $loads)),
            problems: $reading->problems,
            sets: $this->sets($programme),
            needs: $plan->needed(),
            shared: $this->shared($plan),
            seams: $this->seams($programme),
            segments: array_map(
                static fn (Segment $segment): SegmentDocument => new SegmentDocument($segment),
                $programme->segments,
            ),
            cues: array_map(fn (Cue $cue): CueDocument => $this->cue($cue, $plan), $programme->cues),
        );
    }

    /**
     * Returns the plan with less of what the warning is about.
     *
     * @param array<array-key, mixed> $written
     *
     * @return array<array-key, mixed>|null null when there is no such warning
     */
    public function fixed(array $written, string $warning): ?array
    {
        return (WarningRegistry::all()[$warning] ?? null)?->fix(new WrittenPlan($written, $this->reader))->content;
    }

    /** @param list<TrackLoad> $loads */
    private function track(Programme $programme, ?int $track, array $loads): TrackDocument
    {
        $workMs = $programme->workMs($track);

        return new TrackDocument(
            null === $track ? t('Everybody') : $programme->plan->tracks[$track]->name,
            $programme->plan->level($track),
            $workMs,
            $programme->lengthMs - $workMs,
            $this->loadOf($track, $loads),
        );
    }

    /**
     * @param list<TrackLoad> $loads
     *
     * @return array<string, LoadDocument> by the athlete's stance
     */
    private function loadOf(?int $track, array $loads): array
    {
        $documents = [];
        foreach ($loads as $load) {
            if ($load->track === $track) {
                $documents[$load->stance->value] = new LoadDocument($load->load);
            }
        }

        return $documents;
    }

    /** @return list<SetDocument> each set once */
    private function sets(Programme $programme): array
    {
        $sets = [];
        foreach ($programme->segments as $segment) {
            if (null !== $segment->set && null !== $segment->run) {
                $sets[$segment->set->place] ??= new SetDocument($segment->set, $segment->run);
            }
        }

        return array_values($sets);
    }

    /** @return list<SharedItems> of each set of several combinations */
    private function shared(SessionPlan $plan): array
    {
        $shared = [];
        foreach ($plan->sets() as $set) {
            if (\count($set->combinations) > 1) {
                $sequences = array_map(
                    static fn (PlannedCombination $one): Sequence => Sequence::of($one->inStance->chain),
                    $set->combinations,
                );
                $shared[$set->place] = new SharedItems(
                    $set->place,
                    array_map(
                        static fn (int $index): array => 0 === $index
                            ? []
                            : SharedPart::find($sequences[$index - 1], $sequences[$index]),
                        array_keys($sequences),
                    ),
                );
            }
        }

        return array_values($shared);
    }

    /** @return list<SeamDocument> of each chain that a set repeats */
    private function seams(Programme $programme): array
    {
        $model = Check::builtIn()->model;
        $seams = [];
        foreach ($programme->segments as $segment) {
            [$set, $run] = [$segment->set, $segment->run];
            if (SegmentKind::Work !== $segment->kind || null === $set || null === $run) {
                continue;
            }
            foreach ($set->drill->portions($run) as $portion) {
                $gap = $portion->gapMs($run->gap());
                if (null === $portion->chain || null === $gap) {
                    continue;
                }
                $chain = $run->write($portion->chain);
                $key = $set->place.' '.$chain;
                if (!isset($seams[$key])) {
                    $options = $run->options;
                    $timing = $model->timing($portion->chain, $options->rules, $options->tempo, $options->medium);
                    $seams[$key] = new SeamDocument($set->place, $chain, $gap, $model->seam($timing, $gap));
                }
            }
        }

        return array_values($seams);
    }

    /** @return list<TrackLoad> */
    private function loads(Programme $programme): array
    {
        $loads = [];
        foreach ($programme->tracks() as $track) {
            foreach (Stance::cases() as $stance) {
                $loads[] = new TrackLoad($track, $stance, LoadCounter::load($programme, $track, $stance));
            }
        }

        return $loads;
    }

    /** @return list<WarningDocument> */
    private function warnings(WarningContext $context): array
    {
        $found = [];
        foreach (WarningRegistry::all() as $warning) {
            $definition = $warning->definition();
            foreach ($warning->matches($context) as $sentence) {
                $found[] = new WarningDocument($definition, $sentence, $context->threshold($definition));
            }
        }

        return $found;
    }

    private function cue(Cue $cue, SessionPlan $plan): CueDocument
    {
        $writer = new Writer($plan->numbering);
        $words = $numbers = [];
        foreach (Stance::cases() as $athlete) {
            $stance = $cue->stance->resolve($athlete);
            $thrown = null === $cue->chain ? null : new ChainInStance($cue->chain, $stance);
            $words[$athlete->value] = match (true) {
                null !== $thrown => Words::bySide()->write($thrown),
                CueKind::Stance === $cue->kind => t('{stance} stance', stance: $stance->value),
                default => $cue->text,
            };
            $numbers[$athlete->value] = null === $thrown ? null : $writer->write($thrown);
        }

        return new CueDocument(
            $cue,
            $words,
            null === $cue->chain ? null : $numbers,
            $this->verdict($cue, $plan),
            array_map(
                static fn (Beside $one): BesideDocument => new BesideDocument(
                    $one->label,
                    $writer->write(new ChainInStance($one->chain, Stance::Orthodox)),
                ),
                $cue->beside,
            ),
        );
    }

    /** Returns the verdict of a rung or step: each is thrown by itself, so it is checked by itself. */
    private function verdict(Cue $cue, SessionPlan $plan): ?Verdict
    {
        return null !== $cue->chain && \in_array($cue->kind, [CueKind::Rung, CueKind::Step], true)
            ? Check::builtIn()
                ->run(new ChainInStance($cue->chain, Stance::Orthodox), $cue->options ?? $plan->options())
                ->verdict
            : null;
    }
}
