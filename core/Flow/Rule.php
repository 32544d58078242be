<?php

declare(strict_types=1);

namespace Periplus\Core\Flow;

/** One thing beside the links that a head coach looks for. */
interface Rule
{
    /** Stable, in lower case with hyphens. */
    public function id(): string;

    /** Two to five words. */
    public function title(): string;

    /** Why a coach looks for it; common practice unless it says otherwise. */
    public function reason(): string;

    /** Whether it praises; a credit has no severity of its own. */
    public function isCredit(): bool;

    /** A chain in which it holds. */
    public function shows(): Example;

    /** A chain, as near as can be, in which it does not hold. */
    public function doesNotShow(): Example;

    /** @return list<Sighting> */
    public function sightings(Passage $passage): array;
}
