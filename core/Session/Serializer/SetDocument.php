<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Serializer;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\Pace;
use Periplus\Core\Session\Holder\PadHolder;
use Periplus\Core\Session\Plan\Duration;
use Periplus\Core\Session\Plan\Set;
use Periplus\Core\Technique\Stance;

/** A set in words. */
final readonly class SetDocument
{
    public string $place;
    public int $seconds;
    /** Such as "Ladder, 3 min, fast". */
    public string $is;
    /** As it is announced. */
    public string $does;
    /** @var array<string, list<string>>|null what a pad holder does for its longest chain, by the athlete's stance */
    public ?array $holder;

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
        $thrown = $set->options->medium->properties()->held ? $set->thrown($run) : null;
        $this->holder = null === $thrown ? null : self::held($thrown);
    }

    /** @return array<string, list<string>> by the athlete's stance */
    private static function held(Chain $chain): array
    {
        $does = [];
        foreach (Stance::cases() as $stance) {
            $does[$stance->value] = PadHolder::builtIn()->does(new ChainInStance($chain, $stance));
        }

        return $does;
    }
}
