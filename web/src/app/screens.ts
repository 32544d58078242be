import { type ComponentType, lazy } from "react";

/** A part of the program that could not be fetched: without a network, or after an update whose files have new names. */
export class ScreenMissing extends Error {}

const loads: (() => Promise<unknown>)[] = [];

/** A screen that is fetched when it is first needed, or before that when nothing else is to be done. */
export function screen(load: () => Promise<{ default: ComponentType }>) {
  const fetching = () =>
    load().catch((cause: unknown) => {
      throw new ScreenMissing("A screen could not be fetched.", { cause });
    });
  loads.push(load);
  return lazy(fetching);
}

/** Does something when nothing else is to be done. */
export function whenIdle(run: () => void): void {
  if (window.requestIdleCallback) {
    window.requestIdleCallback(run);
  } else {
    setTimeout(run, 500);
  }
}

/** Fetches every screen, one after the other, so that they open without a network later. */
export function fetchScreens(): void {
  const next = async ([load, ...rest]: (() => Promise<unknown>)[]) => {
    if (load) {
      await load().catch(() => undefined);
      whenIdle(() => void next(rest));
    }
  };
  whenIdle(() => void next(loads));
}
