<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Drill;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;

/** A part of a drill's work from which the load is counted. */
final readonly class Portion
{
    /**
     * @param float $ms of work
     * @param Chain|null $chain thrown over and over; null for free strikes
     * @param float|null $repetitions where the drill counts them; otherwise they follow from the time
     * @param float|null $strikes free strikes, where the drill counts them
     * @param Side|Role|null $side to which free strikes are held
     * @param list<Limb> $weapons of free strikes; several share them
     * @param bool $isWithoutStop whether a chain begins again as soon as it ends
     */
    private function __construct(
        public float $ms,
        public RoundStance $stance,
        public ?Chain $chain = null,
        public ?float $repetitions = null,
        public ?float $strikes = null,
        public Side|Role|null $side = null,
        public array $weapons = [],
        private bool $isWithoutStop = false,
    ) {
    }

    public static function repeated(Chain $chain, float $ms, RoundStance $stance): self
    {
        return new self($ms, $stance, $chain);
    }

    /** @param int $lengthMs of the chain */
    public static function withoutStop(Chain $chain, float $ms, int $lengthMs, RoundStance $stance): self
    {
        return new self(
            ms: $ms,
            stance: $stance,
            chain: $chain,
            repetitions: $ms / $lengthMs,
            isWithoutStop: true,
        );
    }

    /**
     * Returns the ms between two repetitions of its chain; null where it is not repeated, or the drill says when.
     *
     * @param int $usual the gap of the level, in ms
     */
    public function gapMs(int $usual): ?int
    {
        return match (true) {
            $this->isWithoutStop => 0,
            null === $this->chain || null !== $this->repetitions => null,
            default => $usual,
        };
    }

    public static function counted(Chain $chain, float $repetitions, float $ms, RoundStance $stance): self
    {
        return new self($ms, $stance, $chain, $repetitions);
    }

    /** @param list<Limb> $weapons */
    public static function free(
        float $ms,
        RoundStance $stance,
        ?float $strikes = null,
        Side|Role|null $side = null,
        array $weapons = [Limb::Hand],
    ): self {
        return new self(
            ms: $ms,
            stance: $stance,
            chain: null,
            repetitions: null,
            strikes: $strikes,
            side: $side,
            weapons: $weapons,
        );
    }
}
