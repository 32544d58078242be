<?php

declare(strict_types=1);

namespace Periplus\Core\Similarity;

use Periplus\Core\Combination\Sequence;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Move;
use Periplus\Core\Technique\MoveKind;

/**
 * What grew from what: a combination grew from the longest other one that is its beginning, the footwork aside with
 * which
 * one leaves: "1 2 3 exit" grew from "1 2 exit". Found for a whole library in one walk over the stems in rising order,
 * in
 * which everything that grew from a combination follows it.
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

    /** The chain without the footwork at its end, as long as something is left. */
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
     * Whether the first is the beginning of the second and not the whole of it. An item is never the beginning of
     * another, so the bytes tell.
     */
    public static function begins(string $first, string $second): bool
    {
        return \strlen($first) < \strlen($second) && str_starts_with($second, $first);
    }
}
