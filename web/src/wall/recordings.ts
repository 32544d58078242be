import { createContext, useContext, useEffect, useMemo, useState } from "react";
import type { PlayedRecording, Programme } from "../api/client";
import { KeptRecordings, recordingsIn } from "./keptRecordings";
import type { Standing } from "./moment";
import { browserStore } from "./store";
import type { SoundState } from "./useSound";

/** What a screen can play. */
export interface Recordings {
  /** Address on this page of each loaded file, by its name. */
  loaded: ReadonlyMap<string, string>;
  /** 0 to 1; 0 while the browser allows no sound. */
  volume: number;
}

const Here = createContext<Recordings>({ loaded: new Map(), volume: 0 });
export const RecordingsHere = Here.Provider;
export const useRecordingsHere = () => useContext(Here);

/** Interval after which a recording that could not be loaded is asked for again, in ms. */
const AGAIN_MS = 15_000;

/**
 * Loads the recordings of a programme in advance.
 *
 * @param address the folder from which they are loaded; null while it is not known
 * @param place names the screen
 */
export function useRecordings(
  programme: Programme | null,
  address: string | null,
  place: string,
  sound: Pick<SoundState, "needsPress" | "muted" | "volume">,
): Recordings {
  const [loaded, setLoaded] = useState<ReadonlyMap<string, string>>(new Map());
  const kept = useMemo(() => new KeptRecordings(browserStore, place), [place]);
  useEffect(() => {
    if (programme === null || address === null) {
      return;
    }
    let isOver = false;
    const recordings = recordingsIn(programme);
    const addresses = new Map<string, string>();
    const load = async () => {
      for (const one of recordings.filter(({ file }) => !addresses.has(file))) {
        try {
          const file = await kept.load(one, address);
          if (isOver) {
            return;
          }
          addresses.set(one.file, URL.createObjectURL(file));
          setLoaded(new Map(addresses));
        } catch {
          // The line and the words are shown meanwhile.
        }
      }
    };
    void kept.keepOnly(recordings.map(({ file }) => file)).then(load);
    const again = setInterval(() => void load(), AGAIN_MS);
    return () => {
      isOver = true;
      clearInterval(again);
      for (const url of addresses.values()) {
        URL.revokeObjectURL(url);
      }
      setLoaded(new Map());
    };
  }, [programme, address, kept]);
  const { needsPress, muted, volume } = sound;
  return useMemo(() => ({ loaded, volume: needsPress || muted ? 0 : volume }), [loaded, needsPress, muted, volume]);
}

/** Returns the recording of what is demonstrated now; null when there is none, or when it is not loaded. */
export function useRecordingOf({ comes, cue, chain }: Standing): PlayedRecording | null {
  const { loaded } = useRecordingsHere();
  const recording = !comes && cue?.kind === "demonstration" ? chain?.recording : null;
  return recording && loaded.has(recording.file) ? recording : null;
}
