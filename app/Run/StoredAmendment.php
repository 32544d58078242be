<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Plan\SessionPlan;
use Periplus\Core\Session\Programme\Amendment;
use Periplus\Core\Session\Programme\AmendmentKind;
use Periplus\Core\Session\Programme\Place;
use Periplus\Core\Technique\Stance;

/** A stored change of a programme: its combination is text in the numbering of the plan. */
final readonly class StoredAmendment
{
    private function __construct(
        public AmendmentKind $kind,
        public ?int $block,
        public ?int $round,
        public ?int $repeat,
        public ?int $set,
        public int $at,
        public int $seconds,
        public ?int $track,
        public int $combination,
        public ?string $chain,
        public ?string $name,
        public ?int $id,
    ) {
    }

    public static function of(Amendment $amendment): self
    {
        $place = $amendment->place;

        return new self(
            kind: $amendment->kind,
            block: $place->block,
            round: $place->round,
            repeat: $place->repeat,
            set: $place->set,
            at: $amendment->at,
            seconds: $amendment->seconds,
            track: $amendment->track,
            combination: $amendment->combination,
            chain: $amendment->with?->text,
            name: $amendment->with?->name,
            id: $amendment->with?->id,
        );
    }

    /**
     * @param array{
     *     kind: string,
     *     block: int|null,
     *     round: int|null,
     *     repeat: int|null,
     *     set: int|null,
     *     at: int,
     *     seconds: int,
     *     track: int|null,
     *     combination: int,
     *     chain: string|null,
     *     name: string|null,
     *     id: int|null,
     * } $stored
     */
    public static function ofJson(array $stored): self
    {
        return new self(...[...$stored, 'kind' => AmendmentKind::from($stored['kind'])]);
    }

    /** Returns the change for that plan; null when its combination cannot be read. */
    public function amendment(SessionPlan $plan, Reader $reader): ?Amendment
    {
        $place = new Place($this->block, $this->round, $this->repeat, $this->set);
        $with = null === $this->chain ? null : self::combination($this->chain, $plan, $reader, $this->name, $this->id);

        return match ($this->kind) {
            AmendmentKind::Longer => Amendment::longer($place, $this->at, $this->seconds),
            AmendmentKind::Again => Amendment::again($place),
            AmendmentKind::Swap => null === $with ? null : Amendment::swap(
                $place,
                $this->track,
                $this->combination,
                $with,
            ),
        };
    }

    /** Reads a chain in the numbering of a plan; null when it cannot be read. */
    public static function combination(
        string $text,
        SessionPlan $plan,
        Reader $reader,
        ?string $name = null,
        ?int $id = null,
    ): ?PlannedCombination {
        $chain = $reader->read($text, $plan->numbering, Stance::Orthodox)->chain;

        return null === $chain ? null : new PlannedCombination(
            $text,
            new ChainInStance($chain, Stance::Orthodox),
            $name,
            $id,
        );
    }
}
