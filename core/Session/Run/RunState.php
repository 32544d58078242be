<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

/** The state of a running session: with it every screen computes the current moment from the clock alone. */
final readonly class RunState
{
    /**
     * @param int $zeroMs when the programme's zero lies, in ms of the server's clock since 1970
     * @param int|null $pausedMs the moment of the programme at which it waits; null while it runs
     * @param int|null $endedMs when it was ended, on the server's clock
     * @param int $speed how many times quicker than in truth; more than 1 is a rehearsal
     * @param int|null $holdMs the moment of the programme at which the clock waits for the coach; it is not passed by
     *                         itself
     * @param string $passage id of the command from which on the programme is passed through without a jump
     */
    public function __construct(
        public int $zeroMs,
        public string $passage,
        public ?int $pausedMs = null,
        public ?int $endedMs = null,
        public int $speed = 1,
        public ?int $holdMs = null,
    ) {
    }

    /** Returns the position in the programme at that time, in ms; negative before the start. */
    public function position(int $now): int
    {
        $clock = (($this->endedMs ?? $now) - $this->zeroMs) * $this->speed;

        return $this->pausedMs ?? min($clock, $this->holdMs ?? $clock);
    }

    /** Tells whether the clock is stopped: a coach paused it, or the plan waits here. */
    public function stands(int $now): bool
    {
        return null !== $this->pausedMs || (null !== $this->holdMs && $this->position($now) >= $this->holdMs);
    }

    /** Returns the server time at which a moment of the programme comes, if nothing changes. */
    public function timeOf(int $ms): int
    {
        return $this->zeroMs + intdiv($ms, $this->speed);
    }

    public function paused(int $now): self
    {
        return new self($this->zeroMs, $this->passage, $this->position($now), null, $this->speed, $this->holdMs);
    }

    public function resumed(int $now): self
    {
        return new self(
            $now - intdiv($this->position($now), $this->speed),
            $this->passage,
            null,
            null,
            $this->speed,
            $this->holdMs,
        );
    }

    public function jumped(int $now, int $toMs, string $command): self
    {
        return new self(
            $now - intdiv($toMs, $this->speed),
            $command,
            null === $this->pausedMs ? null : $toMs,
            null,
            $this->speed,
            $this->holdMs,
        );
    }

    public function ended(int $now): self
    {
        return new self($this->zeroMs, $this->passage, $this->pausedMs, $now, $this->speed, $this->holdMs);
    }

    /** @param int|null $ms null when it waits nowhere any more */
    public function holdingAt(?int $ms): self
    {
        return new self($this->zeroMs, $this->passage, $this->pausedMs, $this->endedMs, $this->speed, $ms);
    }

    /** Tells whether the programme is over at that time. */
    public function isOver(int $now, int $lengthMs): bool
    {
        return null !== $this->endedMs || (null === $this->pausedMs && $this->position($now) >= $lengthMs);
    }

    /**
     * @param array{
     *     zeroMs: int,
     *     passage: string,
     *     pausedMs: int|null,
     *     endedMs: int|null,
     *     speed: int,
     *     holdMs: int|null,
     * } $row
     */
    public static function of(array $row): self
    {
        return new self(
            $row['zeroMs'],
            $row['passage'],
            $row['pausedMs'],
            $row['endedMs'],
            $row['speed'],
            $row['holdMs'],
        );
    }
}
