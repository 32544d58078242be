import { t } from "@lingui/core/macro";
import { type ComponentType, lazy } from "react";

/** A screen whose script could not be loaded: offline, or after an update with new file names. */
export class ScreenMissing extends Error {}

const loads: (() => Promise<unknown>)[] = [];

/** Returns a screen that is loaded on first use, or earlier when the browser is idle. */
export function screen<Props = object>(load: () => Promise<{ default: ComponentType<Props> }>) {
  const fetching = () =>
    load().catch((cause: unknown) => {
      throw new ScreenMissing(t`A screen could not be fetched.`, { cause });
    });
  loads.push(load);
  return lazy(fetching);
}

/** Runs a function when the browser is idle. */
export function whenIdle(run: () => void): void {
  if (window.requestIdleCallback) {
    window.requestIdleCallback(run);
  } else {
    setTimeout(run, 500);
  }
}

/** Loads every screen, one after the other, so that they open offline later. */
export function fetchScreens(): void {
  // A screen that has come may name further parts, which are added at the end.
  const next = async (at: number) => {
    const load = loads[at];
    if (load) {
      await load().catch(() => undefined);
      whenIdle(() => void next(at + 1));
    }
  };
  whenIdle(() => void next(0));
}
