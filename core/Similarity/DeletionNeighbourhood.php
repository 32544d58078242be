<?php

declare(strict_types=1);

namespace Periplus\Core\Similarity;

use Periplus\Core\Combination\Sequence;

/**
 * The index for similarity searches. The neighbourhood of a chain is its strikes in order, and those strikes with each
 * one left out, hashed. Two chains share a hash whenever inserting, omitting or exchanging one strike turns the strikes
 * of one into those of the other, whatever their targets, marks and moves; so nothing within {@see EditDistance::near}
 * is missed, which is less than two changed strikes. Pairs that share a hash but are farther apart are removed by the
 * distance itself. The idea is that of deletion neighbourhoods (Mor and Fraenkel, "A hash code method for detecting and
 * correcting spelling errors", Comm. ACM 25, 1982).
 */
final readonly class DeletionNeighbourhood
{
    /** @return list<string> of 8 bytes each, none twice */
    public static function hashes(Sequence $sequence): array
    {
        $strikes = $sequence->strikes();
        $hashes = [implode('', $strikes) => true];
        foreach (array_keys($strikes) as $index) {
            $rest = $strikes;
            unset($rest[$index]);
            $hashes[implode('', $rest)] = true;
        }

        return array_map(static fn (string $strikes): string => hash('xxh3', $strikes, true), array_keys($hashes));
    }
}
