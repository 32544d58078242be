/** Two taps closer than this are one that bounced, ms. */
const BOUNCE = 35;

/** With one more tap; a bounce of the last one is none. */
export function tapped(taps: number[], ms: number): number[] {
  const last = taps[taps.length - 1];
  return last !== undefined && ms - last < BOUNCE ? taps : [...taps, ms];
}

/** Without the tap that stands there. */
export function without(taps: number[], at: number): number[] {
  return taps.filter((_, place) => place !== at);
}

/** With a tap where one was missed. */
export function withTap(taps: number[], ms: number): number[] {
  return [...taps, Math.round(ms * 10) / 10].sort((one, other) => one - other);
}
