import { plural, t } from "@lingui/core/macro";
import type { PlanRound } from "../api/schema";
import { labelOf, MEDIA, PURPOSES } from "../ui/words";
import { usePlanContext } from "./planContext";

/** What a round has beside its work and rest, in a line. */
export function RoundWords({ round }: { round: PlanRound }) {
  const { drills, exercises, paces } = usePlanContext();
  const { inRest } = round;
  const exercise = exercises.find((one) => one.id === inRest?.parameters.exercise)?.name;
  const rest =
    inRest?.drill === "demonstration"
      ? t`what comes, slowly`
      : (exercise ?? drills.find((one) => one.id === inRest?.drill)?.title);
  const words = [
    round.laps > 1 ? plural(round.laps, { one: "# lap", other: "# laps" }) : "",
    round.breath > 0 ? t`${round.breath} s between sets` : "",
    round.tempo ? (paces.find((one) => one.tempo === round.tempo)?.label ?? String(round.tempo)) : "",
    round.medium ? labelOf(MEDIA, round.medium) : "",
    round.purpose ? labelOf(PURPOSES, round.purpose) : "",
    round.moves ? t`move on` : "",
    rest ? t`in the rest: ${rest}` : "",
    round.note,
  ].filter(Boolean);
  return words.length > 0 ? <p className="set-words round-words">{words.join(" · ")}</p> : null;
}
