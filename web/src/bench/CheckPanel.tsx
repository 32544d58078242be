import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useCallback } from "react";
import type { CheckRequest, Matches, Mend, Stance } from "../api/client";
import { useReachable } from "../api/connection";
import { Findings } from "../check/Findings";
import { OtherStance } from "../check/OtherStance";
import type { Checked } from "../check/useCheck";
import { compareAddress } from "../compare/address";
import { Similar } from "./Similar";

interface Props {
  request: CheckRequest & Required<Pick<CheckRequest, "stance" | "opponent">>;
  checked: Checked;
  isOld: boolean;
  similar: Matches | null | undefined;
  selected: number | null;
  onSelect: (at: number | null) => void;
  onMend: (mend: Mend) => void;
  onCompare: (mend: Mend) => void;
  onCarry: (text: string, stance: Stance) => void;
}

/** The panel beside the line: the check with its mends, the other stance, and similar combinations. */
export function CheckPanel({
  request,
  checked,
  isOld,
  similar,
  selected,
  onSelect,
  onMend,
  onCompare,
  onCarry,
}: Props) {
  const { readable, parts, old, error } = checked;
  const reachable = useReachable();
  const first = readable?.notation ?? "";
  const { stance } = request;
  const rules = request.rules ?? readable?.rules ?? "all-limbs";
  const compare = useCallback(
    (second: string, secondStance: Stance, secondTitle: string) =>
      compareAddress({
        first,
        firstStance: stance,
        firstTitle: t`Unchanged`,
        second,
        secondStance,
        secondTitle,
        rules,
        from: window.location.pathname,
        fromName: t`Bench`,
      }),
    [first, rules, stance],
  );
  return (
    <aside className={isOld ? "work-side check-side-old" : "work-side"}>
      {readable && old && (!reachable || error !== null) && (
        <p className="panel old-note" role="note">
          <Trans>This is about an earlier line.</Trans>
        </p>
      )}
      {readable ? (
        <>
          <Findings
            check={readable}
            selected={selected}
            onSelect={onSelect}
            mends={isOld ? undefined : parts.mends}
            onMend={onMend}
            onCompare={onCompare}
          />
          <OtherStance
            check={readable}
            fromAbove={checked.fromAbove}
            opponent={request.opponent}
            {...{ selected }}
            compare={compare}
            onSelect={onSelect}
            onCarry={onCarry}
          />
        </>
      ) : (
        <section className="panel findings findings-empty">
          <p className="small">
            <Trans>The check appears here.</Trans>
          </p>
        </section>
      )}
      {/* Below all else: it comes last and must not move what is being pressed. */}
      <Similar similar={similar} />
    </aside>
  );
}
