import { t } from "@lingui/core/macro";
import type { ProgrammeSegment } from "../api/client";
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

/** Returns which set of which lap it is, such as "lap 2 of 3 · set 4 of 5"; empty where there is one set. */
export function stationWords(station: ProgrammeSegment["station"] | undefined): string {
  if (!station) {
    return "";
  }
  const { number, stations, lap, laps } = station;
  return [laps > 1 ? t`lap ${lap + 1} of ${laps}` : "", stations > 1 ? t`set ${number + 1} of ${stations}` : ""]
    .filter(Boolean)
    .join(" · ");
}

/** Returns the size class for a chain. */
export function sizeOf(text: string): "short" | "middle" | "long" {
  return text.length <= 9 ? "short" : text.length <= 20 ? "middle" : "long";
}
