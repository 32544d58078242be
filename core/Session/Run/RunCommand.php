<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Session\Drill\PlannedCombination;

/** A command of a coach. Commands are idempotent: they name the target state, not a step. */
final readonly class RunCommand
{
    /**
     * @param string $id chosen by the sender; a repeated id counts once
     * @param int|null $toMs for a jump, from the start of the programme
     * @param int|null $track whose set is meant by a swap; everybody's when null
     * @param int $combination which one of the set is swapped, counted from 0
     */
    public function __construct(
        public string $id,
        public CommandKind $kind,
        public ?int $toMs = null,
        public ?int $track = null,
        public int $combination = 0,
        public ?PlannedCombination $with = null,
    ) {
    }
}
