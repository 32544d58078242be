import { t } from "@lingui/core/macro";
import type { Effects } from "../api/client";

type Move = Effects["effects"][number]["moves"][number];

/** Formats a number of the model, without floating point noise. */
export function shown(value: number): string {
  return String(Math.round(value * 1000) / 1000).replace("-", "−");
}

/** Returns the effect of moving a number to that value. */
export function effectOf(move: Move, gym: number): string {
  if (move.labelled === 0 && move.gym === 0) {
    return t`changes no verdict`;
  }
  const more = move.agree - move.agreed;
  const labelled = [
    move.labelled === 0
      ? t`no labelled chain changes`
      : move.labelled === 1
        ? t`1 labelled chain changes`
        : t`${move.labelled} labelled chains change`,
    more === 0 ? "" : t`${Math.abs(more)} ${more > 0 ? "more" : "fewer"} agree`,
  ];
  const ours = gym === 0 ? "" : move.gym === 0 ? t`none of ours` : t`${move.gym} of ${gym} of ours`;
  return [...labelled, ours].filter((part) => part !== "").join(", ");
}
