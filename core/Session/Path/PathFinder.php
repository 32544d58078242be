<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Path;

/**
 * The shortest way from what is known to a target, each step of which brings at most one new link or weapon. Breadth
 * first over what may be known; a step can bring only one that is missing, so that what the target still misses is a
 * lower bound, by which the search is led (A*, Hart, Nilsson and Raphael 1968). It is exact: where it gives up, it says
 * so.
 */
final readonly class PathFinder
{
    /** States that are looked at before it gives up. */
    public const MOST = 4000;
    /** Longest path. */
    public const LONGEST = 12;

    /**
     * @param list<Stage> $stages of the library, those that are preferred among equals first
     *
     * @return list<Stage>|null the target last; null when there is no path, or none within the bounds
     */
    public static function shortest(Known $known, Stage $target, array $stages): ?array
    {
        $useful = self::useful($known, $target, $stages);
        /** @var array<int, list<array{Known, list<Stage>}>> $open by the length that a path through it has at least */
        $open = [self::atLeast($known, $target) => [[$known, []]]];
        $seen = [$known->key() => 0];
        $looked = 0;
        while ([] !== $open) {
            $length = min(array_keys($open));
            if ($length > self::LONGEST) {
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
            if (++$looked > self::MOST) {
                return null;
            }
            $brought = [];
            foreach ($useful as $stage) {
                if (1 !== $stage->isNew($state)) {
                    continue;
                }
                $then = $state->and($stage);
                $key = $then->key();
                // Of those that bring the same the first is as good as any.
                if (isset($brought[$key]) || ($seen[$key] ?? \PHP_INT_MAX) <= \count($path) + 1) {
                    continue;
                }
                $brought[$key] = true;
                $seen[$key] = \count($path) + 1;
                $open[\count($path) + 1 + self::atLeast($then, $target)][] = [$then, [...$path, $stage]];
            }
        }

        return null;
    }

    /**
     * Everything that can be known by steps of one new link or weapon each.
     *
     * @param list<Stage> $stages
     */
    public static function reachable(Known $known, array $stages): Known
    {
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

    /** Steps that are missing at least: each brings one, the target itself among them. */
    private static function atLeast(Known $known, Stage $target): int
    {
        return max(1, $target->isNew($known));
    }

    /**
     * Those that may help: what they bring is asked for by the target, or by one that may help.
     *
     * @param list<Stage> $stages
     *
     * @return list<Stage>
     */
    private static function useful(Known $known, Stage $target, array $stages): array
    {
        $reachable = self::reachable($known, $stages);
        $wanted = self::missing($target, $known);
        $useful = [];
        do {
            $before = \count($useful);
            foreach ($stages as $at => $stage) {
                $brings = self::missing($stage, $known);
                if (
                    !isset($useful[$at])
                    && [] !== $brings
                    && [] !== array_intersect_key($brings, $wanted)
                    && $stage->isNew($reachable) <= 1
                ) {
                    $useful[$at] = $stage;
                    $wanted += $brings;
                }
            }
        } while (\count($useful) > $before);
        ksort($useful);

        return array_values($useful);
    }

    /** @return array<string, true> links and weapons of it that are not known */
    private static function missing(Stage $stage, Known $known): array
    {
        return array_diff_key($stage->links, $known->links) + array_diff_key($stage->weapons, $known->weapons);
    }
}
