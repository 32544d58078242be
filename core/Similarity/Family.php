<?php

declare(strict_types=1);

namespace Periplus\Core\Similarity;

use Periplus\Core\Combination\Sequence;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;

/**
 * Groups combinations into families: a combination grew from the longest other one that it starts with, not counting
 * exit footwork: "1 2 3 exit" grew from "1 2 exit". One walk over the sorted stems of a library is enough, because
 * everything that grew from a combination directly follows it.
 */
final readonly class Family
{
    /** @return list<string> the signs of all footwork, with which one leaves */
    public static function footwork(): array
    {
        /** @var list<string>|null $signs */
        static $signs = null;

        return $signs ??= array_column(
            array_filter(
                Catalogue::builtIn()->moves,
                static fn (Move $move): bool => MoveKind::Footwork === $move->kind,
            ),
            'sign',
        );
    }

    /** Returns the chain without its exit footwork, as long as something is left. */
    public static function stem(Sequence $sequence): Sequence
    {
        $items = $sequence->items;
        while (\count($items) > 1 && \in_array($items[\count($items) - 1], self::footwork(), true)) {
            array_pop($items);
        }

        return Sequence::read(implode('', $items));
    }

    /**
     * @param list<array{int, string}> $sequences id and stem, in rising order of the stems, byte by byte
     *
     * @return array<int, int|null> by id: what it grew from, or null where nothing in the library is its beginning
     */
    public static function parents(array $sequences): array
    {
        $parents = [];
        /** @var list<array{int, string}> $open beginnings of the one at hand, each of the next */
        $open = [];
        foreach ($sequences as [$id, $text]) {
            while ([] !== $open && !self::begins(end($open)[1], $text)) {
                array_pop($open);
            }
            $parent = [] === $open ? null : end($open)[0];
            $parents[$id] = $parent;
            $open[] = [$id, $text];
        }

        return $parents;
    }

    /**
     * Tells whether the first is a proper prefix of the second. No code is the beginning of another, so comparing bytes
     * is enough.
     */
    public static function begins(string $first, string $second): bool
    {
        return \strlen($first) < \strlen($second) && str_starts_with($second, $first);
    }
}
