<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Log;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Load\Load;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Programme\Programme;
use Periplus\Core\Session\Programme\Segment;
use Periplus\Core\Session\Programme\SegmentKind;
use Periplus\Core\Technique\Stance;

/** Computes what was drilled: the work of a programme, as far as it was done. */
final class DrilledCounter
{
    /** Minimum work in ms that counts; anything shorter was started and left. */
    public const MIN_WORK_MS = 1000;

    /** @var array<string, Drilled> */
    private array $drilled = [];

    private function __construct()
    {
    }

    /** @return list<Drilled> in the order in which they came; each once for a level, medium and chain */
    public static function drilled(Programme $programme, Coverage $coverage): array
    {
        $counter = new self();
        foreach ($programme->segments as $segment) {
            $times = $coverage->times($segment->fromMs, $segment->toMs);
            if (
                SegmentKind::Work === $segment->kind
                && null !== $segment->set
                && null !== $segment->run
                && $times * $segment->ms() >= self::MIN_WORK_MS
            ) {
                foreach ($segment->set->drill->portions($segment->run) as $portion) {
                    $counter->add($programme, $segment, $segment->run, $portion, $times);
                }
            }
        }

        return array_values($counter->drilled);
    }

    /** Returns the work that was done, in ms; with several tracks, that of the longest. */
    public static function workMs(Programme $programme, Coverage $coverage): int
    {
        $works = [0];
        foreach ($programme->tracks() as $track) {
            $ms = 0.0;
            foreach ($programme->segments($track) as $segment) {
                $ms
                    += SegmentKind::Work === $segment->kind
                        ? $coverage->times($segment->fromMs, $segment->toMs) * $segment->ms()
                        : 0.0;
            }
            $works[] = (int) round($ms);
        }

        return max($works);
    }

    /**
     * Returns the load of an average athlete of those who attended, by stance and level.
     *
     * @param list<Drilled> $drilled
     */
    public static function load(array $drilled, Attendance $attendance): Load
    {
        $levels = array_values(
            array_unique(array_filter(
                array_map(static fn (Drilled $one): ?int => $one->level, $drilled),
                \is_int(...),
            )),
        );
        $load = new Load(0, 0);
        foreach ($drilled as $one) {
            foreach (Stance::cases() as $athlete) {
                $weight = $attendance->ofLevel($one->level, $levels) * $attendance->ofStance($athlete);
                $other = 0.0 === $one->ms ? 0.0 : $one->otherMs / $one->ms;
                foreach ([[$athlete, 1.0 - $other], [$athlete->other(), $other]] as [$stance, $share]) {
                    self::count($load, $one, $stance, $weight * $share);
                }
            }
        }

        return $load;
    }

    private static function count(Load $load, Drilled $one, Stance $stance, float $weight): void
    {
        if (0.0 === $weight) {
            return;
        }
        if (null === $one->thrown) {
            $load->stanceMs[$stance->value] += $weight * $one->ms;
            $load->countFree($weight * $one->strikes, null, null);

            return;
        }
        LoadCounter::chain(
            $load,
            new ChainInStance($one->thrown->chain, $stance),
            $one->repetitions,
            $one->ms,
            $one->medium,
            $weight,
        );
    }

    private function add(Programme $programme, Segment $segment, DrillRun $run, Portion $portion, float $times): void
    {
        if (null === $portion->chain) {
            $this->addPart($programme, $segment, $run, $portion, $times, new DrilledPart(null, null, 1.0));

            return;
        }
        foreach ($this->parts($segment->set->combinations ?? [], $portion->chain) as $part) {
            $this->addPart($programme, $segment, $run, $portion, $times, $part);
        }
    }

    private function addPart(
        Programme $programme,
        Segment $segment,
        DrillRun $run,
        Portion $portion,
        float $times,
        DrilledPart $part,
    ): void {
        $ms = $portion->ms * $times * $part->share;
        $isOther = RoundStance::Other === $portion->stance;
        $level = null === $segment->track ? null : $programme->plan->level($segment->track);
        $of = $part->of;
        $thrown =
            null === $part->chain
                ? null
                : new ChainInStance($part->chain, $of->inStance->stance ?? Stance::Orthodox);
        $strikes = null === $portion->chain ? LoadCounter::freeStrikes($portion, $run) : 0.0;
        $repetitions =
            null === $portion->chain ? 0.0 : $portion->repetitions ?? $portion->ms / $run->period($portion->chain);
        // A chain that ends in the other stance goes on from there.
        $other =
            null === $thrown || $repetitions <= 0.0
                ? 0.0
                : LoadCounter::fromTheOtherStance($thrown, $repetitions) / $repetitions;
        $drilled = new Drilled(
            combination: $of->inStance ?? $thrown,
            thrown: $thrown,
            name: $of->name ?? '',
            id: $of?->id,
            ms: $ms,
            otherMs: $isOther ? $ms - $other * $ms : $other * $ms,
            repetitions: $repetitions * $times,
            strikes: $strikes * $times,
            medium: $run->options->medium,
            level: $level,
        );
        $key = implode(' ', [
            $level ?? '-',
            $run->options->medium->value,
            $of->id ?? $this->key($of->inStance->chain ?? null),
            $this->key($part->chain),
        ]);
        $this->drilled[$key] = isset($this->drilled[$key]) ? $this->drilled[$key]->and($drilled) : $drilled;
    }

    /**
     * Returns the combinations that a chain is made of, such as the choice of a menu between the way in and the way
     * out. The whole chain counts as thrown for the first of them; the others have their share of the time.
     *
     * @param list<PlannedCombination> $combinations
     *
     * @return non-empty-list<DrilledPart>
     */
    private function parts(array $combinations, Chain $chain): array
    {
        $of = $this->combination($combinations, $chain);
        $found = null === $of ? $this->found($combinations, $chain) : [$of];
        $others = [];
        $left = 1.0;
        foreach (\array_slice($found, 1) as $other) {
            $share = \count($other->inStance->chain->items) / \count($chain->items);
            $others[] = new DrilledPart(null, $other, $share);
            $left -= $share;
        }

        return [new DrilledPart($chain, $found[0] ?? null, $left), ...$others];
    }

    /**
     * @param list<PlannedCombination> $combinations
     *
     * @return list<PlannedCombination> those that are in the chain, in order and without overlap
     */
    private function found(array $combinations, Chain $chain): array
    {
        $keys = array_map(static fn ($item): string => $item->key(true), $chain->items);
        $found = [];
        for ($at = 0; $at < \count($keys);) {
            $longest = null;
            foreach ($combinations as $combination) {
                $own = array_map(static fn ($item): string => $item->key(true), $combination->inStance->chain->items);
                $isHere = $own === \array_slice($keys, $at, \count($own));
                if ($isHere && \count($own) > \count($longest->inStance->chain->items ?? [])) {
                    $longest = $combination;
                }
            }
            if (null !== $longest) {
                $found[] = $longest;
            }
            $at += null === $longest ? 1 : \count($longest->inStance->chain->items);
        }

        return $found;
    }

    /**
     * Finds the combination to which a chain belongs: the one it equals or begins; a single combination gets every
     * chain.
     *
     * @param list<PlannedCombination> $combinations
     */
    private function combination(array $combinations, Chain $chain): ?PlannedCombination
    {
        $key = $this->key($chain);
        foreach ($combinations as $combination) {
            if ($this->key($combination->inStance->chain) === $key) {
                return $combination;
            }
        }
        foreach ($combinations as $combination) {
            if (str_starts_with($this->key($combination->inStance->chain).' ', $key.' ')) {
                return $combination;
            }
        }

        return 1 === \count($combinations) ? $combinations[0] : null;
    }

    private function key(?Chain $chain): string
    {
        return null === $chain
            ? ''
            : implode(' ', array_map(static fn ($item): string => $item->key(true), $chain->items));
    }
}
