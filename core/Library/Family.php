<?php

declare(strict_types=1);

namespace Periplus\Core\Library;

/**
 * What grew from what: a combination grew from the longest other one that is its beginning. Found for a whole library
 * in one walk over its sequences in rising order, in which everything that grew from a combination follows it.
 */
final readonly class Family
{
    /**
     * @param list<array{int, string}> $sequences id and sequence, in rising order of the sequences, byte by byte
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
     * Whether the first is the beginning of the second and not the whole of it. A body ends an item, so the bytes tell.
     */
    public static function begins(string $first, string $second): bool
    {
        return \strlen($first) < \strlen($second) && str_starts_with($second, $first);
    }
}
