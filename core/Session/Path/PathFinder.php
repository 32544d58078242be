<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Path;

/**
 * Finds the shortest path from what is known to a target, with at most one new link or weapon a step. It searches
 * breadth first over sets of knowledge; a step brings at most one thing, so what the target still misses is a lower
 * bound that leads the search (A*, Hart, Nilsson and Raphael 1968). The result is exact; when it gives up, it reports
 * that.
 */
final readonly class PathFinder
{
    /** Maximum number of states before it gives up. */
    public const MAX_STATES = 4000;
    /** Maximum length of a path. */
    public const MAX_STEPS = 12;

    /**
     * @param list<Stage> $stages of the library, those that are preferred among equals first
     *
     * @return list<Stage>|null the target last; null when there is no path, or none within the bounds
     */
    public function shortest(Known $known, Stage $target, array $stages): ?array
    {
        $useful = $this->useful($known, $target, $stages);
        /** @var array<int, list<array{Known, list<Stage>}>> $open by the length that a path through it has at least */
        $open = [$this->atLeast($known, $target) => [[$known, []]]];
        $seen = [$known->key() => 0];
        $looked = 0;
        while ([] !== $open) {
            $length = min(array_keys($open));
            if ($length > self::MAX_STEPS) {
                return null;
            }
            $next = array_shift($open[$length]);
            if ([] === $open[$length]) {
                unset($open[$length]);
            }
            if (null === $next) {
                continue;
            }
            [$state, $path] = $next;
            if ($target->isNew($state) <= 1) {
                return [...$path, $target];
            }
            if (++$looked > self::MAX_STATES) {
                return null;
            }
            $brought = [];
            foreach ($useful as $stage) {
                if (1 !== $stage->isNew($state)) {
                    continue;
                }
                $then = $state->and($stage);
                $key = $then->key();
                // Stages that bring the same are equivalent, so the first is enough.
                if (isset($brought[$key]) || ($seen[$key] ?? \PHP_INT_MAX) <= \count($path) + 1) {
                    continue;
                }
                $brought[$key] = true;
                $seen[$key] = \count($path) + 1;
                $open[\count($path) + 1 + $this->atLeast($then, $target)][] = [$then, [...$path, $stage]];
            }
        }

        return null;
    }

    /**
     * Returns everything that can be learned in steps of one new link or weapon; from nothing, with any link first.
     *
     * @param list<Stage> $stages
     */
    public function reachable(Known $known, array $stages): Known
    {
        $first = $known->isEmpty()
            ? array_filter($stages, static fn (Stage $stage): bool => 1 === $stage->isNew($known))
            : [];
        foreach ($first as $stage) {
            $known = $known->and($stage);
        }
        do {
            $before = \count($known->links) + \count($known->weapons);
            foreach ($stages as $stage) {
                if (1 === $stage->isNew($known)) {
                    $known = $known->and($stage);
                }
            }
        } while (\count($known->links) + \count($known->weapons) > $before);

        return $known;
    }

    /** Returns the minimum number of steps that are missing: one for each thing, including the target. */
    private function atLeast(Known $known, Stage $target): int
    {
        return max(1, $target->isNew($known));
    }

    /**
     * Returns the stages that may help: they bring something that the target needs, or a stage that may help.
     *
     * @param list<Stage> $stages
     *
     * @return list<Stage>
     */
    private function useful(Known $known, Stage $target, array $stages): array
    {
        $reachable = $this->reachable($known, $stages);
        $wanted = $this->missing($target, $known);
        $useful = [];
        do {
            $before = \count($useful);
            foreach ($stages as $index => $stage) {
                $brings = $this->missing($stage, $known);
                if (
                    !isset($useful[$index])
                    && [] !== $brings
                    && [] !== array_intersect_key($brings, $wanted)
                    && $stage->isNew($reachable) <= 1
                ) {
                    $useful[$index] = $stage;
                    $wanted += $brings;
                }
            }
        } while (\count($useful) > $before);
        ksort($useful);

        return array_values($useful);
    }

    /** @return array<string, true> links and weapons of it that are not known */
    private function missing(Stage $stage, Known $known): array
    {
        return array_diff_key($stage->links, $known->links) + array_diff_key($stage->weapons, $known->weapons);
    }
}
