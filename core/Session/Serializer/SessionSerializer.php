<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Notation\Words;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Plan\PlanProblem;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\PlanReading;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Programme\Cue;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Sequence\SharedPart;
use Periplus\Core\Session\Warning\WarningContext;
use Periplus\Core\Session\Warnings\WarningRegistry;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Reads a written plan and returns everything that follows from it as a JSON-ready array; docs/formats/session.md
 * describes every key.
 */
final readonly class SessionSerializer
{
    public function __construct(private PlanReader $reader)
    {
    }

    /** @return array<string, mixed> */
    public function serialize(mixed $written): array
    {
        return $this->ofReading($this->reader->read($written));
    }

    /** @return array<string, mixed> */
    public function ofReading(PlanReading $reading): array
    {
        $programme = ProgrammeBuilder::build($reading->plan, $this->reader->advice);
        $loads = self::loads($programme);
        $byTrack = static fn (?int $track): array => array_column(array_map(
            static fn (array $row): array => [$row[1]->value, $row[2]->toArray()],
            array_values(array_filter($loads, static fn (array $row): bool => $row[0] === $track)),
        ), 1, 0);

        return [
            'name' => $reading->plan->name,
            'seed' => $reading->plan->seed,
            'lengthMs' => $programme->lengthMs,
            'tracks' => array_map(static function (?int $track) use ($programme, $byTrack): array {
                $work = $programme->workMs($track);

                return [
                    'name' => null === $track ? t('Everybody') : $programme->plan->tracks[$track]->name,
                    'level' => $programme->plan->level($track),
                    'workMs' => $work,
                    'restMs' => $programme->lengthMs - $work,
                    'load' => $byTrack($track),
                ];
            }, $programme->tracks()),
            'load' => $byTrack($programme->tracks()[0]),
            'warnings' => self::warnings(new WarningContext($reading->plan, $programme, $loads)),
            'problems' => array_map(static fn (PlanProblem $problem): array => $problem->toArray(), $reading->problems),
            'shared' => self::shared($reading->plan),
            'segments' => array_map(self::segment(...), $programme->segments),
            'cues' => array_map(static fn (Cue $cue): array => self::cue($cue, $reading->plan), $programme->cues),
        ];
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

    /**
     * @return list<array{
     *     place: string,
     *     items: list<list<int>>,
     * }> for each set of several combinations: which items each shares with the one before
     */
    private static function shared(SessionPlan $plan): array
    {
        $shared = [];
        foreach ($plan->sets() as $set) {
            if (\count($set->combinations) > 1) {
                $sequences = array_map(
                    static fn (PlannedCombination $one): Sequence => Sequence::of($one->inStance->chain),
                    $set->combinations,
                );
                $shared[$set->place] = [
                    'place' => $set->place,
                    'items' => array_map(
                        static fn (int $index): array => 0 === $index
                            ? []
                            : SharedPart::find($sequences[$index - 1], $sequences[$index]),
                        array_keys($sequences),
                    ),
                ];
            }
        }

        return array_values($shared);
    }

    /** @return list<array{int|null, Stance, Load}> */
    private static function loads(Programme $programme): array
    {
        $loads = [];
        foreach ($programme->tracks() as $track) {
            foreach (Stance::cases() as $stance) {
                $loads[] = [$track, $stance, LoadCounter::load($programme, $track, $stance)];
            }
        }

        return $loads;
    }

    /** @return list<array<string, mixed>> */
    private static function warnings(WarningContext $context): array
    {
        $found = [];
        foreach (WarningRegistry::all() as $warning) {
            $definition = $warning->definition();
            foreach ($warning->matches($context) as $sentence) {
                $found[] = [
                    'id' => $definition->id,
                    'title' => $definition->title,
                    'message' => $sentence,
                    'reason' => $definition->reason,
                    'threshold' => $context->threshold($definition),
                    'fix' => $definition->fix,
                ];
            }
        }

        return $found;
    }

    /** @return array<string, mixed> */
    private static function cue(Cue $cue, SessionPlan $plan): array
    {
        $inStance = static fn (Stance $athlete): ?ChainInStance => null === $cue->chain
            ? null
            : new ChainInStance($cue->chain, $cue->stance->resolve($athlete));
        $writer = new Writer($plan->numbering);
        $words = $numbers = [];
        foreach (Stance::cases() as $athlete) {
            $thrown = $inStance($athlete);
            $words[$athlete->value] = match (true) {
                null !== $thrown => Words::bySide()->write($thrown),
                CueKind::Stance === $cue->kind => $cue->stance->resolve($athlete)->value.' stance',
                default => $cue->text,
            };
            $numbers[$athlete->value] = null === $thrown ? null : $writer->write($thrown);
        }

        return [
            'atMs' => $cue->atMs,
            'track' => $cue->track,
            'kind' => $cue->kind->value,
            'text' => $cue->text,
            'words' => $words,
            'numbers' => null === $cue->chain ? null : $numbers,
            'stance' => $cue->stance->value,
            'lengthMs' => $cue->lengthMs,
            'marked' => $cue->marked,
            // Each rung is thrown by itself, so it is checked by itself.
            'verdict' => null !== $cue->chain && \in_array($cue->kind, [CueKind::Rung, CueKind::Step], true)
                    ? Check::builtIn()->run(new ChainInStance($cue->chain, Stance::Orthodox), $plan->options())->verdict
                        ->value
                    : null,
            'reminders' => $cue->reminders,
            'place' => self::place($cue->place),
        ];
    }

    /** @return array<string, mixed> */
    private static function segment(Segment $segment): array
    {
        return [
            'fromMs' => $segment->fromMs,
            'toMs' => $segment->toMs,
            'track' => $segment->track,
            'kind' => $segment->kind->value,
            'drill' => $segment->set?->drill->definition()->id,
            'place' => self::place($segment->place),
        ];
    }

    /** @return array{block: int|null, round: int|null, repeat: int|null, set: int|null} */
    private static function place(Place $place): array
    {
        return ['block' => $place->block, 'round' => $place->round, 'repeat' => $place->repeat, 'set' => $place->set];
    }
}
