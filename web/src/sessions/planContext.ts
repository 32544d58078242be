import { createContext, useContext } from "react";
import type { Drill, Drills, Exercise, SessionDocument } from "../api/client";
import type { PlanContent } from "../api/schema";
import type { Place } from "./plan";

export interface PlanInHand {
  content: PlanContent;
  /** What follows from the content; outdated while `old`. */
  document: SessionDocument | null;
  old: boolean;
  drills: Drill[];
  exercises: Exercise[];
  /** Tempos with a word. */
  paces: Drills["paces"];
  selected: Place | null;
  select: (place: Place | null) => void;
  /** @param typed whether it continues the change before, as while typing */
  change: (next: (now: PlanContent) => PlanContent, typed?: boolean) => void;
  /** The reason for each part of a generated session. */
  reasons: { place: string; message: string }[];
}

export const PlanContext = createContext<PlanInHand | null>(null);

export function usePlanContext(): PlanInHand {
  const plan = useContext(PlanContext);
  if (plan === null) {
    throw new Error("There is no plan around this part.");
  }
  return plan;
}
