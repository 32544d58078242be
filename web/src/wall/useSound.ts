import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { Programme, RunState } from "../api/client";
import { Player } from "./player";
import { checkSounds, type SoundCheck } from "./soundCheck";
import { soundsOf } from "./sounds";
import { positionAt, stands } from "./state";

/** Interval between two scheduling passes, in ms. */
const TICK_MS = 500;
/** The cache in which clips are stored for use without the server. */
const CLIPS = "periplus-clips";

export interface SoundState {
  /** Browsers allow no sound before the first press on a page. */
  needsPress: boolean;
  volume: number;
  muted: boolean;
  /** Number of clips that could not be loaded; their text is only shown. */
  missing: number;
  allow: () => void;
  setVolume: (volume: number) => void;
  setMuted: (muted: boolean) => void;
  /** Measures the deviation of each sound from its cue; null when there is nothing to measure. */
  check: () => Promise<SoundCheck | null>;
}

/** What is heard: a programme and where it is. */
export interface SoundSource {
  view: { run: { state: RunState } | null };
  clock: { now: () => number };
  subscribe: (listener: () => void) => () => void;
}

const stored = (name: string, usual: string) => localStorage.getItem(name) ?? usual;

/**
 * The sound of a screen: bells, claps and calls on time.
 *
 * @param clipAddress the folder from which the clips are loaded; null while it is not known
 */
export function useSound(client: SoundSource, programme: Programme | null, clipAddress: string | null): SoundState {
  const context = useRef<AudioContext | null>(null);
  const player = useRef<Player | null>(null);
  const [needsPress, setNeedsPress] = useState(true);
  const [volume, keepVolume] = useState(() => Number(stored("wall volume", "1")));
  const [muted, keepMuted] = useState(() => stored("wall muted", "no") === "yes");
  const [missing, setMissing] = useState(0);
  const sounds = useMemo(() => (programme ? soundsOf(programme) : []), [programme]);

  const begin = useCallback(() => {
    if (typeof AudioContext === "undefined") {
      return;
    }
    context.current ??= new AudioContext({ latencyHint: "interactive" });
    player.current ??= new Player(context.current);
    const now = context.current;
    const look = () => setNeedsPress(now.state !== "running");
    now.onstatechange = look;
    void now.resume().then(look, look);
    look();
  }, []);
  useEffect(() => {
    // At once where the browser allows it, as a kiosk can be set up to do.
    begin();
    return () => {
      void context.current?.close();
      context.current = null;
      player.current = null;
    };
  }, [begin]);

  useEffect(() => {
    player.current?.volume(muted ? 0 : volume);
  }, [muted, volume]);

  const fetchClips = useCallback(
    async (of: Programme) => {
      let failed = 0;
      for (const clip of new Set(of.said.map((said) => said.clip))) {
        const now = player.current;
        if (now === null || now.has(clip)) {
          continue;
        }
        try {
          await now.add(clip, await clipFile(`${clipAddress}/${clip}`, clip));
        } catch {
          failed += 1;
        }
      }
      setMissing(failed);
    },
    [clipAddress],
  );
  useEffect(() => {
    if (programme === null || clipAddress === null) {
      return;
    }
    void fetchClips(programme);
    // Missing clips are requested again.
    const again = setInterval(() => void fetchClips(programme), 15_000);
    return () => clearInterval(again);
  }, [programme, clipAddress, fetchClips]);

  useEffect(() => {
    const plan = () => {
      const { run: running } = client.view;
      const now = client.clock.now();
      player.current?.plan(running === null ? [] : sounds, {
        position: running === null ? 0 : positionAt(running.state, now),
        // While the browser blocks sound nothing is scheduled; otherwise everything would play at once after the press.
        runs: running !== null && !stands(running.state, now) && context.current?.state === "running",
        speed: running?.state.speed ?? 1,
      });
    };
    plan();
    const timer = setInterval(plan, TICK_MS);
    const told = client.subscribe(plan);
    return () => {
      clearInterval(timer);
      told();
    };
  }, [client, sounds]);

  return {
    needsPress,
    volume,
    muted,
    missing,
    allow: begin,
    check: async () => (programme && player.current ? checkSounds(programme, player.current.buffers) : null),
    setVolume: (next) => {
      localStorage.setItem("wall volume", String(next));
      keepVolume(next);
    },
    setMuted: (next) => {
      localStorage.setItem("wall muted", next ? "yes" : "no");
      keepMuted(next);
    },
  };
}

/** Loads a clip, from the cache if possible; the content of a clip never changes. */
async function clipFile(address: string, clip: string): Promise<ArrayBuffer> {
  const store = "caches" in globalThis ? await caches.open(CLIPS).catch(() => null) : null;
  const name = `/clips/${clip}`;
  const known = await store?.match(name);
  if (known) {
    return known.arrayBuffer();
  }
  const answer = await fetch(address);
  if (!answer.ok) {
    throw new Error(String(answer.status));
  }
  await store?.put(name, answer.clone());
  return answer.arrayBuffer();
}
