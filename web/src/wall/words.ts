import type { TrackMoment } from "./moment";

/** The word for what one does, so that it is known without colour. */
export function stateWord(moment: TrackMoment, stopped: boolean): string {
  if (stopped) {
    return "Paused";
  }
  if (moment.kind === "work") {
    return moment.lastTen ? "Last ten" : "Work";
  }
  return { before: "Get ready", rest: "Rest", listen: "Watch", changeover: "Change over", over: "End" }[moment.kind];
}

/** How large a chain can be written. */
export function sizeOf(text: string): "short" | "middle" | "long" {
  return text.length <= 9 ? "short" : text.length <= 20 ? "middle" : "long";
}
