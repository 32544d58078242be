/** Formats seconds as on a round timer: 3:00. */
export function clockOf(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, "0")}`;
}

/** Below this a bare number means minutes: 3 is three minutes, 45 is 45 seconds. */
const FEWEST_SECONDS = 10;

/** Reads a time such as 3:00, 3 min, 45 or 45 s; null when it is none. Returns seconds. */
export function secondsOf(text: string): number | null {
  const clock = /^\s*(\d{1,3}):([0-5]?\d)\s*(?:min)?\s*$/.exec(text);
  if (clock) {
    return 60 * Number(clock[1]) + Number(clock[2]);
  }
  const plain = /^\s*(\d{1,4}(?:[.,]\d)?)\s*(s|sec|seconds|m|min|minutes)?\s*$/i.exec(text);
  if (!plain) {
    return null;
  }
  const number = Number((plain[1] ?? "").replace(",", "."));
  const unit = plain[2]?.[0]?.toLowerCase();
  const isMinutes = unit === "m" || (unit === undefined && number > 0 && number < FEWEST_SECONDS);
  return Math.round(isMinutes ? 60 * number : number);
}
