import { t } from "@lingui/core/macro";
import { amount } from "../ui/words";
import type { Contents, Cut, Part } from "./media";

/** What was recorded or chosen, before it is kept. */
export interface Take extends Contents {
  file: Blob;
  /** For a player on this page. */
  url: string;
}

/** What the server keeps at most. */
export interface Limits {
  longestMs: number;
  largestBytes: number;
}

/** The shortest part that can be kept, in ms. */
export const SHORTEST_MS = 500;

const media = () => import("./media");

/** Reads what was recorded or chosen. @throws Error with a sentence for people when this browser cannot read it */
export async function takeOf(file: Blob): Promise<Take> {
  const { contentsOf } = await media();
  try {
    return { ...(await contentsOf(file)), file, url: URL.createObjectURL(file) };
  } catch {
    throw new Error(t`This browser cannot read that file. Take a video (MP4, WebM) or a sound (MP3, WAV, M4A).`);
  }
}

/**
 * Cuts a take to a part of it.
 *
 * @param onProgress is told how much of it is done, 0 to 1
 *
 * @throws Error with a sentence for people when it cannot be cut, or is too large
 */
export async function cutTake(
  take: Take,
  part: Part,
  largestBytes: number,
  onProgress: (done: number) => void,
): Promise<Cut> {
  const { cut: cutFile } = await media();
  let cut: Cut;
  try {
    cut = await cutFile(take.file, part, take.kind, onProgress);
  } catch {
    throw new Error(
      t`This browser cannot read all of that file, or cannot write it. Record it here, or save it as MP4 (H.264) with another program.`,
    );
  }
  if (cut.file.size > largestBytes) {
    throw new Error(
      t`This part is ${amount(cut.file.size)}; a recording has at most ${amount(largestBytes)}. Take a shorter part.`,
    );
  }
  return cut;
}

/** Returns the part that is kept unless the coach chooses another: all of it, or its beginning. */
export function wholeOf(take: Contents, longestMs: number): Part {
  return { fromMs: 0, toMs: Math.min(take.lengthMs, longestMs) };
}

/**
 * Returns the part after one of its ends was moved; the other end follows where it would be too long or too short.
 *
 * @param from where its ends are now, in ms
 */
export function moved(part: Part, [fromMs, toMs]: [number, number], longestMs: number): Part {
  const movesStart = fromMs !== part.fromMs;
  if (toMs - fromMs > longestMs) {
    return movesStart ? { fromMs, toMs: fromMs + longestMs } : { fromMs: toMs - longestMs, toMs };
  }
  if (toMs - fromMs < SHORTEST_MS) {
    return part;
  }
  return { fromMs, toMs };
}

/** Formats a length, such as 12.4 s. */
export const seconds = (ms: number) => t`${(ms / 1000).toFixed(1)} s`;
