import type { AthleteCard, Check } from "../api/client";

/** What is heard of a chain: its items, and how long it takes. */
export interface Heard {
  items: (Check["items"][number] | AthleteCard["combinations"][number]["items"][number])[];
  lengthMs: number | null;
}

/** A landing as it is heard. */
export interface Click {
  atMs: number;
  /** Hz */
  pitch: number;
  /** From 0 to 1. */
  loud: number;
}

/** Hz: the lead above the rear, what stands on one leg far below what is thrown from two. */
const PITCHES = { arm: { lead: 1500, rear: 980 }, leg: { lead: 420, rear: 250 } } as const;
const LOUD = { light: 0.45, plain: 0.75, hard: 1 } as const;
/** A feint is shown and lands nowhere. */
const FEINT = 0.18;

/** What is heard of a chain: every strike as it lands. Moves and beats are silent, so that a wait is heard as a gap. */
export function clicksOf(heard: Heard): Click[] {
  return heard.items.flatMap((item) => {
    if (item.kind !== "strike" || item.impactMs === null || !item.role) {
      return [];
    }
    const limb = item.limb === "leg" || item.limb === "knee" ? "leg" : "arm";
    const loud = item.feint ? FEINT : LOUD[item.effort ?? "plain"];
    return [{ atMs: item.impactMs, pitch: PITCHES[limb][item.role], loud }];
  });
}
