<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Session\Programme\Programme;

use function Periplus\Core\Language\t;

/** Applies the commands that only move the clock. They need the length of the programme and its waits only. */
final readonly class ClockCommands
{
    /** @param list<int> $waits moments, in ms, at which the clock waits for the coach, in their order */
    public function __construct(private int $lengthMs, private array $waits)
    {
    }

    public static function of(Programme $programme): self
    {
        return new self($programme->lengthMs, $programme->waits());
    }

    /**
     * @param int $now on the server's clock, ms
     *
     * @throws CommandRefused when it makes no sense now
     */
    public function after(RunState $state, RunCommand $command, int $now): RunChange
    {
        if (null !== $state->endedMs) {
            throw new CommandRefused(t('This session has ended.'));
        }

        return match ($command->kind) {
            CommandKind::Pause => new RunChange(null === $state->pausedMs ? $state->paused($now) : $state, ''),
            CommandKind::Resume => new RunChange(
                $state->stands($now) ? $this->goingOn($state->resumed($now), $state->position($now)) : $state,
                '',
            ),
            CommandKind::Jump => $this->jump($state, $command, $now),
            CommandKind::End => new RunChange($state->ended($now), ''),
            default => throw new \LogicException('This changes the programme: '.$command->kind->value),
        };
    }

    /** Returns a state that stops at the next moment at which the plan waits. */
    public function goingOn(RunState $state, int $after): RunState
    {
        foreach ($this->waits as $ms) {
            if ($ms > $after) {
                return $state->holdingAt($ms);
            }
        }

        return $state->holdingAt(null);
    }

    private function jump(RunState $state, RunCommand $command, int $now): RunChange
    {
        $to = $command->toMs ?? throw new CommandRefused(t('Say where to jump.'));
        if ($to < 0 || $to > $this->lengthMs) {
            throw new CommandRefused(
                t(
                    'The session lasts {lengthMs} s; {to} s is not in it.',
                    lengthMs: intdiv($this->lengthMs, 1000),
                    to: intdiv($to, 1000),
                ),
            );
        }

        // Where the clock waits it waits again, but not before it has got there.
        return new RunChange($this->goingOn($state->jumped($now, $to, $command->id), $to - 1), (string) $to);
    }
}
