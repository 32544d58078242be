import type { AthleteCard, Check } from "../api/client";

/** The parts of a chain that can be heard: its items and its length. */
export interface Heard {
  items: (Check["items"][number] | AthleteCard["combinations"][number]["items"][number])[];
  lengthMs: number | null;
}

/** The sound of a landing. */
export interface Click {
  atMs: number;
  /** In Hz. */
  pitch: number;
  /** 0 to 1. */
  loud: number;
}

/** In Hz: the lead is higher than the rear, strikes on one leg are much lower than those on two. */
const PITCHES = { arm: { lead: 1500, rear: 980 }, leg: { lead: 420, rear: 250 } } as const;
const LOUD = { light: 0.45, plain: 0.75, hard: 1 } as const;
/** A feint does not land. */
const FEINT_LOUDNESS = 0.18;

/**
 * Returns the sounds of a chain: every strike as it lands. Moves and beats are silent, so that a wait is heard as a
 * gap.
 */
export function clicksOf(heard: Heard): Click[] {
  return heard.items.flatMap((item) => {
    if (item.kind !== "strike" || item.impactMs === null || !item.role) {
      return [];
    }
    const limb = item.limb === "leg" || item.limb === "knee" ? "leg" : "arm";
    const loud = item.feint ? FEINT_LOUDNESS : LOUD[item.effort ?? "plain"];
    return [{ atMs: item.impactMs, pitch: PITCHES[limb][item.role], loud }];
  });
}
