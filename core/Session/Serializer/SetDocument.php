<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Pace;
use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Plan\Set;

/** A set in words. */
final readonly class SetDocument
{
    public string $place;
    public int $seconds;
    /** Such as "Ladder, 3 min, fast". */
    public string $is;
    /** As it is announced. */
    public string $does;

    public function __construct(Set $set, DrillRun $run)
    {
        $this->place = $set->place;
        $this->seconds = $set->seconds;
        $pace = Pace::of($set->options->tempo);
        $this->is = implode(', ', array_filter([
            $set->drill->definition()->title,
            Duration::inWords($set->seconds),
            Pace::Working === $pace ? '' : $pace->title(),
            $set->options->purpose->value ?? '',
        ], static fn (string $part): bool => '' !== $part));
        $this->does = $set->drill->announcement($run)->text;
    }
}
