import { t } from "@lingui/core/macro";
import type { Course } from "../api/client";
import type { PlanContent } from "../api/schema";
import { newBlock, newRound, newSet } from "./plan";
import { fixed } from "./usePlans";

/** Creates a plan to be filled by hand, in the format of the course: a warm-up, one round and a cool-down. */
export async function startPlan(course: Course | null, numbering: string): Promise<PlanContent> {
  const content: PlanContent = {
    name: "",
    minutes: course?.minutes ?? 60,
    rules: course?.rules ?? "all-limbs",
    group: course?.group ?? "open",
    medium: course?.medium ?? "pads",
    level: Math.max(...(course?.levels ?? [2])),
    tempo: 1,
    seed: 1,
    numbering,
    needs: "",
    tracks:
      course && course.levels.length > 1 ? course.levels.map((level) => ({ name: t`Level ${level}`, level })) : [],
    blocks: [
      newBlock("rounds", [newRound(course?.work ?? 180, course?.rests[0] ?? 60)], {
        name: t`Rounds`,
        changeover: 60,
      }),
    ],
  };
  return fixed(await fixed(content, "no-warm-up"), "no-cool-down");
}

/** Returns an empty round like the previous one. */
export function nextRound(rounds: PlanContent["blocks"][number]["rounds"]) {
  const before = rounds.at(-1);
  return {
    ...newRound(before?.seconds ?? undefined, before?.rest),
    tracks: (before?.tracks ?? []).map((track) => ({ ...track, sets: [newSet()] })),
  };
}
