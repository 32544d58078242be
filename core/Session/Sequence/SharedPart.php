<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

use Periplus\Core\Combination\Sequence as ChainSequence;

/** What a combination shares with the one before it: the longest common subsequence of their items. */
final class SharedPart
{
    /** @return list<int> places of the items of the second that the first has in the same order */
    public static function find(ChainSequence $first, ChainSequence $second): array
    {
        [$a, $b] = [$first->items, $second->items];
        $lengths = array_fill(0, \count($a) + 1, array_fill(0, \count($b) + 1, 0));
        for ($i = \count($a) - 1; $i >= 0; --$i) {
            for ($j = \count($b) - 1; $j >= 0; --$j) {
                $lengths[$i][$j] =
                    $a[$i] === $b[$j] ? 1 + $lengths[$i + 1][$j + 1] : max($lengths[$i + 1][$j], $lengths[$i][$j + 1]);
            }
        }
        $shared = [];
        for ($i = $j = 0; $i < \count($a) && $j < \count($b);) {
            if ($a[$i] === $b[$j]) {
                $shared[] = $j++;
                ++$i;
            } elseif ($lengths[$i + 1][$j] >= $lengths[$i][$j + 1]) {
                ++$i;
            } else {
                ++$j;
            }
        }

        return $shared;
    }
}
