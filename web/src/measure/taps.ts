/** Two taps closer than this are a bounce, in ms. */
const BOUNCE_MS = 35;

/** Returns the taps with one more, unless it is a bounce. */
export function tapped(taps: number[], ms: number): number[] {
  const last = taps[taps.length - 1];
  return last !== undefined && ms - last < BOUNCE_MS ? taps : [...taps, ms];
}

/** Returns the taps without the one at that index. */
export function without(taps: number[], at: number): number[] {
  return taps.filter((_, place) => place !== at);
}

/** Returns the taps with a missing one added. */
export function withTap(taps: number[], ms: number): number[] {
  return [...taps, Math.round(ms * 10) / 10].sort((one, other) => one - other);
}
