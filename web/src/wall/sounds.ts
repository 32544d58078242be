import type { Programme } from "../api/client";

/** A sound at one moment of a programme. */
export interface Sound {
  key: string;
  atMs: number;
  kind: "bell" | "end-bell" | "clap" | "clip";
  /** The digest of a spoken clip. */
  clip: string | null;
}

/** Returns all sounds of a programme in order; tracks with the same bell at the same time share it. */
export function soundsOf(programme: Programme): Sound[] {
  const sounds: Sound[] = [];
  const heard = new Set<string>();
  for (const cue of programme.cues) {
    if (cue.sound !== null && !heard.has(`${cue.atMs} ${cue.sound}`)) {
      heard.add(`${cue.atMs} ${cue.sound}`);
      sounds.push({ key: `${cue.key} ${cue.sound}`, atMs: cue.atMs, kind: cue.sound, clip: null });
    }
  }
  for (const { atMs, clip } of programme.said) {
    sounds.push({ key: `${atMs} ${clip}`, atMs, kind: "clip", clip });
  }
  return sounds.sort((one, other) => one.atMs - other.atMs);
}

/** Partials of a struck bell: ratio of the pitch, loudness, decay in s. Common practice, no source. */
const PARTIALS = [
  [0.5, 0.5, 2.2],
  [1, 1, 1.7],
  [1.19, 0.5, 1.3],
  [1.5, 0.4, 1.1],
  [2, 0.6, 0.9],
  [2.66, 0.3, 0.5],
  [3.98, 0.2, 0.3],
] as const;

/** Returns the samples of bell strokes, at a pitch that carries through a loud room. */
export function bell(rate: number, strokes = 1): Float32Array<ArrayBuffer> {
  const apart = 0.35;
  const samples = new Float32Array(Math.ceil(rate * (1.8 + apart * (strokes - 1))));
  for (let stroke = 0; stroke < strokes; stroke += 1) {
    const begin = Math.round(stroke * apart * rate);
    for (let at = begin; at < samples.length; at += 1) {
      const seconds = (at - begin) / rate;
      let value = 0;
      for (const [part, loud, until] of PARTIALS) {
        value += loud * Math.exp((-4 * seconds) / until) * Math.sin(2 * Math.PI * 880 * part * seconds);
      }
      samples[at] = (samples[at] ?? 0) + value * 0.28;
    }
  }
  return faded(samples);
}

/** Returns three claps of two sticks: ten seconds left. */
export function clap(rate: number): Float32Array<ArrayBuffer> {
  const samples = new Float32Array(Math.ceil(rate * 0.6));
  let noise = 12345;
  for (let stroke = 0; stroke < 3; stroke += 1) {
    const begin = Math.round(stroke * 0.18 * rate);
    for (let at = begin; at < Math.min(samples.length, begin + rate * 0.09); at += 1) {
      const seconds = (at - begin) / rate;
      noise = (noise * 1103515245 + 12345) % 2147483648;
      const hiss = noise / 1073741824 - 1;
      samples[at] = Math.exp(-60 * seconds) * (0.5 * hiss + 0.5 * Math.sin(2 * Math.PI * 2100 * seconds));
    }
  }
  return faded(samples);
}

/** Fades out the end and limits the amplitude. */
function faded(samples: Float32Array<ArrayBuffer>): Float32Array<ArrayBuffer> {
  const tail = Math.min(samples.length, 400);
  const peak = samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  return samples.map((value, at) => (value / Math.max(1, peak)) * Math.min(1, (samples.length - at) / tail));
}
