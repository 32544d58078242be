import { t } from "@lingui/core/macro";
import { useRef } from "react";
import { answered, api } from "../api/client";
import type { PlanCombination, PlanSet } from "../api/schema";
import { useNotice } from "../ui/useNotice";
import { usePlanContext } from "./planContext";

/** Puts the combinations of a set into the order in which each shares most with the one before. */
export function useSetOrder(set: PlanSet, onOrdered: (combinations: PlanCombination[]) => void) {
  const { content } = usePlanContext();
  const notice = useNotice();
  const newest = useRef(set);
  newest.current = set;
  return async () => {
    try {
      const answer = await answered(
        api.POST("/api/plans/sequence", {
          body: {
            combinations: set.combinations.map(({ chain, stance }) => ({ chain, stance: stance ?? "orthodox" })),
            numbering: content.numbering,
            rules: content.rules,
          },
        }),
      );
      if (answer.problems.length > 0) {
        notice.warn(answer.problems[0]?.message ?? t`One of them cannot be read.`);
        return;
      }
      // The answer belongs to earlier combinations.
      if (newest.current.combinations !== set.combinations) {
        notice.warn(t`The set was changed meanwhile, so it was not put in order. Press once more.`);
        return;
      }
      onOrdered(answer.order.flatMap((at) => set.combinations[at] ?? []));
      notice.done(
        answer.proven
          ? t`In this order each shares most with the one before; no order is better.`
          : t`In this order each shares most with the one before: ${answer.cost}, where no order is below ${answer.bound}.`,
      );
    } catch (error) {
      notice.failed(error);
    }
  };
}
