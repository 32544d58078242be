import { t } from "@lingui/core/macro";
import type { TrackMoment } from "./moment";

/** Returns the word for the current state, so that it does not depend on colour. */
export function stateWord(moment: TrackMoment, stopped: boolean): string {
  if (stopped) {
    return t`Paused`;
  }
  if (moment.kind === "work") {
    return moment.lastTen ? t`Last ten` : t`Work`;
  }
  return { before: t`Get ready`, rest: t`Rest`, listen: t`Watch`, changeover: t`Change over`, over: t`End` }[
    moment.kind
  ];
}

/** Returns the size class for a chain. */
export function sizeOf(text: string): "short" | "middle" | "long" {
  return text.length <= 9 ? "short" : text.length <= 20 ? "middle" : "long";
}
