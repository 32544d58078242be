<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Path;

use Periplus\Core\Combination\Sequence;

/** A combination as a possible step of a path: what an athlete has to know for it. */
final readonly class Stage
{
    /**
     * @param array<string, true> $links by what they join
     * @param array<string, true> $weapons by the sign of the strike
     */
    private function __construct(public string $name, public array $links, public array $weapons)
    {
    }

    /** @param string $name that tells it from the others */
    public static function of(string $name, Sequence $sequence): self
    {
        $links = [];
        foreach ($sequence->items as $index => $item) {
            if ($index > 0) {
                $links[$sequence->items[$index - 1].$item] = true;
            }
        }

        return new self($name, $links, array_fill_keys($sequence->strikes(), true));
    }

    /** @return list<int> places of its links that are new, counted from 0 */
    public static function newLinks(Sequence $sequence, Known $known): array
    {
        $new = [];
        foreach ($sequence->items as $index => $item) {
            if ($index > 0 && !isset($known->links[$sequence->items[$index - 1].$item])) {
                $new[] = $index - 1;
            }
        }

        return $new;
    }

    /**
     * Returns how much of it is new: the number of links or of weapons, whichever is greater, because a new weapon
     * always comes with a new link. To somebody who knows nothing the first link brings both its strikes, so that only
     * links count.
     */
    public function isNew(Known $known): int
    {
        return $known->isEmpty() ? \count($this->links) : max(
            \count(array_diff_key($this->links, $known->links)),
            \count(array_diff_key($this->weapons, $known->weapons)),
        );
    }
}
