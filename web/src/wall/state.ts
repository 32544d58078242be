import type { RunState } from "../api/client";

/** Returns the position in the programme at that server time, in ms; negative before the start. */
export function positionAt(state: RunState, now: number): number {
  const clock = ((state.endedMs ?? now) - state.zeroMs) * state.speed;
  return state.pausedMs ?? Math.min(clock, state.holdMs ?? clock);
}

/** Tells whether the clock is stopped: a coach paused it, or the plan waits here. */
export function stands(state: RunState, now: number): boolean {
  return (
    state.endedMs !== null ||
    state.pausedMs !== null ||
    (state.holdMs !== null && positionAt(state, now) >= state.holdMs)
  );
}

/** Returns how long a coach has paused it by that server time, in ms; null when nobody did. */
export function stoppedFor(state: RunState, now: number): number | null {
  return state.pausedMs === null || state.endedMs !== null ? null : Math.max(0, now - timeOf(state, state.pausedMs));
}

/** Returns the server time at which a moment of the programme comes, if nothing changes. */
export function timeOf(state: RunState, ms: number): number {
  return state.zeroMs + ms / state.speed;
}

/** A command that a wall may apply by itself. */
export interface LocalCommand {
  id: string;
  kind: "pause" | "resume" | "jump";
  toMs: number | null;
  /** On the server's clock. */
  givenMs: number;
}

/**
 * Applies a command while the server is unreachable; otherwise the server decides by the same rules (core/Session/Run).
 *
 * @param waits moments at which the clock waits for the coach, in their order
 */
export function after(state: RunState, command: LocalCommand, waits: number[]): RunState {
  const now = Math.round(command.givenMs);
  const at = Math.trunc(positionAt(state, now));
  const going = (next: RunState, from: number): RunState => ({
    ...next,
    holdMs: waits.find((ms) => ms > from) ?? null,
  });
  if (state.endedMs !== null) {
    return state;
  }
  if (command.kind === "pause") {
    return state.pausedMs === null ? { ...state, pausedMs: at } : state;
  }
  if (command.kind === "resume") {
    return stands(state, now)
      ? going({ ...state, zeroMs: now - Math.trunc(at / state.speed), pausedMs: null }, at)
      : state;
  }
  const to = command.toMs ?? 0;
  return going(
    {
      ...state,
      zeroMs: now - Math.trunc(to / state.speed),
      passage: command.id,
      pausedMs: state.pausedMs === null ? null : to,
    },
    to - 1,
  );
}
