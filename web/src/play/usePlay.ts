import { useEffect, useMemo, useRef, useSyncExternalStore } from "react";
import { useStable } from "../ui/useStable";
import { clicksOf, type Heard } from "./clicks";
import { type Line, LinePlayer } from "./linePlayer";

/** Only one line plays at a time, on any screen. */
const told = new Set<() => void>();
let context: AudioContext | null = null;
let player: LinePlayer | null = null;
let whose: object | null = null;
/** The chosen factor on the duration; null for the tempo of each line. */
let chosen: number | null = null;

function subscribe(listener: () => void) {
  told.add(listener);
  return () => {
    told.delete(listener);
  };
}

function tell() {
  for (const listener of told) {
    listener();
  }
}

/** Sound may only start after a press. */
function ready(): LinePlayer {
  if (!player) {
    const clock = {
      get currentTime() {
        return performance.now() / 1000;
      },
    };
    context = typeof AudioContext === "undefined" ? null : new AudioContext({ latencyHint: "interactive" });
    player = new LinePlayer(context ?? clock);
  }
  void context?.resume();
  return player;
}

function stop() {
  player?.stop();
  whose = null;
  tell();
}

/**
 * A line that can be played.
 *
 * @param heard what is heard; undefined while it is not known
 * @param tempo at which it was checked
 */
export function usePlay(heard: Heard | undefined, tempo = 1) {
  const me = useRef({});
  const line = useMemo<Line | null>(
    () => (heard ? { clicks: clicksOf(heard), lengthMs: heard.lengthMs ?? 0 } : null),
    [heard],
  );
  const plays = useSyncExternalStore(subscribe, () => whose === me.current);
  const at = useSyncExternalStore(subscribe, () => chosen) ?? tempo;
  useEffect(() => {
    if (plays && line) {
      player?.change(line, at / tempo);
    }
  }, [plays, line, at, tempo]);
  useEffect(() => {
    const mine = me.current;
    return () => {
      if (whose === mine) {
        stop();
      }
    };
  }, []);
  return {
    plays,
    can: line !== null && line.clicks.length > 0,
    /** The factor on the duration compared with working tempo. */
    tempo: at,
    choose: useStable((next: number) => {
      chosen = next;
      tell();
    }),
    press: useStable(() => {
      if (whose === me.current) {
        stop();
      } else if (line) {
        ready().begin(line, at / tempo);
        whose = me.current;
        tell();
      }
    }),
    /** The current moment of the line, in ms. */
    at: useStable(() => (whose === me.current ? (player?.at() ?? null) : null)),
  };
}

export type Play = ReturnType<typeof usePlay>;
