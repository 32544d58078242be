import { useEffect, useMemo, useReducer, useSyncExternalStore } from "react";
import { ServerClock } from "./clock";
import { ScreenClient, type ScreenView } from "./screenClient";
import { browserStore } from "./store";

/** The clock of a screen: the server's time with its maximum error, and the position in the programme, in ms. */
export interface ScreenClock {
  now: number;
  bound: number;
  position: number | null;
}

/** The client of a screen, started and stopped with the component. */
export function useScreen(key: string, numbering: string | null = null): { client: ScreenClient; view: ScreenView } {
  const client = useMemo(
    () =>
      new ScreenClient({
        key,
        numbering,
        clock: new ServerClock(
          () => performance.now(),
          () => Date.now(),
        ),
        store: browserStore,
      }),
    [key, numbering],
  );
  useEffect(() => {
    // Benchmarks ask screens for their clock.
    const tell = (event: Event) => {
      (event as CustomEvent<(clock: ScreenClock) => void>).detail({
        now: client.clock.now(),
        bound: client.clock.bound(),
        position: client.position(),
      });
    };
    window.addEventListener("screen-clock", tell);
    void client.start();
    return () => {
      window.removeEventListener("screen-clock", tell);
      client.stop();
    };
  }, [client]);
  const view = useSyncExternalStore(client.subscribe, () => client.view);
  return { client, view };
}

/** Renders again so many times a second. */
export function useTick(times = 10): void {
  const [, tick] = useReducer((count: number) => count + 1, 0);
  useEffect(() => {
    const timer = setInterval(tick, 1000 / times);
    return () => clearInterval(timer);
  }, [times]);
}
