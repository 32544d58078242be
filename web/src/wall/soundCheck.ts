import type { Programme } from "../api/client";
import { Player } from "./player";
import { type Sound, soundsOf } from "./sounds";

const SAMPLE_RATE = 48_000;
/** Length in s of a rendered window; shorter than the player's lookahead. */
const WINDOW_SECONDS = 60;
/** Silence before the first sound of a window, in s. */
const LEAD_SECONDS = 0.5;
/** Amplitude that counts as heard, of 1. */
const MIN_AMPLITUDE = 0.012;
/** Maximum number of windows. */
const MAX_WINDOWS = 90;

export interface SoundCheck {
  measured: number;
  /** The largest deviation between a cue and its sound, in ms. */
  worstMs: number;
}

/**
 * Renders the sounds of a programme offline with the same player and measures when each is heard. Sounds that overlap
 * an earlier one are skipped, because their start cannot be measured.
 *
 * @param buffers the sounds that the player has
 */
export async function checkSounds(programme: Programme, buffers: Map<string, AudioBuffer>): Promise<SoundCheck> {
  const sounds = soundsOf(programme).filter((sound) => buffers.has(sound.clip ?? sound.kind));
  let measured = 0;
  let worstMs = 0;
  let at = 0;
  for (let window = 0; window < MAX_WINDOWS && at < sounds.length; window += 1) {
    const from = (sounds[at] as Sound).atMs;
    const here = sounds.filter((sound) => sound.atMs >= from && sound.atMs < from + 1000 * (WINDOW_SECONDS - 5));
    const context = new OfflineAudioContext(1, SAMPLE_RATE * WINDOW_SECONDS, SAMPLE_RATE);
    new Player(context, buffers).plan(here, { position: from - 1000 * LEAD_SECONDS, runs: true, speed: 1 });
    const heard = (await context.startRendering()).getChannelData(0);
    let quietFrom = 0;
    for (const sound of here) {
      const expected = (sound.atMs - from) / 1000 + LEAD_SECONDS;
      const buffer = buffers.get(sound.clip ?? sound.kind) as AudioBuffer;
      if (expected > quietFrom + 0.05 && !here.some((other) => other !== sound && other.atMs === sound.atMs)) {
        const begin = Math.round(SAMPLE_RATE * Math.max(quietFrom + 0.01, expected - 0.4));
        let onset = begin;
        while (onset < heard.length && Math.abs(heard[onset] ?? 0) < MIN_AMPLITUDE) {
          onset += 1;
        }
        measured += 1;
        worstMs = Math.max(worstMs, 1000 * Math.abs(onset / SAMPLE_RATE - expected));
      }
      quietFrom = Math.max(quietFrom, expected + buffer.duration);
    }
    at += here.length;
  }
  return { measured, worstMs };
}
