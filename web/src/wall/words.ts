import type { TrackMoment } from "./moment";

/** Returns the word for the current state, so that it does not depend on colour. */
export function stateWord(moment: TrackMoment, stopped: boolean): string {
  if (stopped) {
    return "Paused";
  }
  if (moment.kind === "work") {
    return moment.lastTen ? "Last ten" : "Work";
  }
  return { before: "Get ready", rest: "Rest", listen: "Watch", changeover: "Change over", over: "End" }[moment.kind];
}

/** Returns the size class for a chain. */
export function sizeOf(text: string): "short" | "middle" | "long" {
  return text.length <= 9 ? "short" : text.length <= 20 ? "middle" : "long";
}
