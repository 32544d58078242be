<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

use Periplus\Core\Session\Plan\Block;
use Periplus\Core\Session\Plan\Round;

/** The changes that were made to a plan while it runs, in order. */
final readonly class Amendments
{
    /** @param list<Amendment> $list */
    public function __construct(private array $list = [])
    {
    }

    public function and(Amendment $amendment): self
    {
        return new self([...$this->list, $amendment]);
    }

    /** Returns the pause after that block, in s. */
    public function changeover(Block $block, int $number): int
    {
        $longer = array_filter(
            $this->list,
            static fn (Amendment $one): bool => AmendmentKind::Longer === $one->kind
                && null === $one->place->round
                && $number === $one->place->block,
        );

        return $block->changeover + array_sum(array_map(static fn (Amendment $one): int => $one->seconds, $longer));
    }

    /** Returns how often that round is done. */
    public function times(Round $round, Place $place): int
    {
        return $round->times
            + \count(
                array_filter(
                    $this->list,
                    fn (Amendment $one): bool => AmendmentKind::Again === $one->kind
                        && $this->isRound($one->place, $place),
                ),
            );
    }

    /** Returns the round as it is done in that repeat. */
    public function round(Round $round, Place $place): Round
    {
        foreach ($this->list as $one) {
            if (!$this->isRound($one->place, $place)) {
                continue;
            }
            if (AmendmentKind::Longer === $one->kind && $one->place->repeat === $place->repeat) {
                $round = $round->lengthened($one->at, $one->seconds);
            } elseif (null !== $one->with && $one->place->repeat <= $place->repeat) {
                $round = $round->swapped(
                    isset($round->lanes[$one->track ?? -1]) ? $one->track : null,
                    (int) $one->place->set,
                    $one->combination,
                    $one->with,
                );
            }
        }

        return $round;
    }

    private function isRound(Place $one, Place $other): bool
    {
        return null !== $one->round && $one->block === $other->block && $one->round === $other->round;
    }
}
