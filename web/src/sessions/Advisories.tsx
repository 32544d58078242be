import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useRef, useState } from "react";
import type { PlanFix } from "../api/client";
import { Failure } from "../ui/Failure";
import { useNotice } from "../ui/useNotice";
import { mended, type Place, renewed } from "./plan";
import { usePlanContext } from "./planContext";
import { reveal } from "./Ruler";
import { fixed } from "./usePlans";

/** Problems of the plan, warnings with their fixes, and combinations that have changed in the library. */
export function Advisories({ error }: { error: unknown }) {
  const { document, select, old } = usePlanContext();
  const { fix, fixing } = useFixes();
  if (!document) {
    return <Failure error={error} />;
  }
  const go = (place: string) => {
    const found = placeOf(place);
    if (found?.round !== undefined) {
      select(found);
      reveal(found.block, found.round);
    }
  };
  const nothing = document.problems.length + document.warnings.length + document.changed.length === 0;
  return (
    <section
      className={old ? "panel advisories is-old" : "panel advisories"}
      aria-label={t`Problems and warnings`}
      aria-live="polite"
    >
      <Failure error={error} />
      {nothing && (
        <p className="all-well">
          <Trans>Ready to run.</Trans>
        </p>
      )}
      <ul>
        {document.changed.map((one) => (
          <ChangedCombination key={one.id} changed={one} />
        ))}
        {document.problems
          .filter((problem) => problem.place !== "" || !document.changed.some((one) => one.name === problem.where))
          .map((problem) => (
            <li key={`${problem.place} ${problem.message}`} className={problem.stops ? "advisory stops" : "advisory"}>
              <button type="button" className="link-button" onClick={() => go(problem.place)}>
                {problem.where}
              </button>{" "}
              {problem.message} <FixButton fix={problem.fix} />
            </li>
          ))}
        {document.warnings.map((warning) => (
          <li key={`${warning.id} ${warning.message}`} className="advisory">
            {warning.message}{" "}
            <details className="small">
              <summary>
                <Trans>why</Trans>
              </summary>
              <Trans>{warning.reason} The threshold is part of the house rules.</Trans>
            </details>
            <Button size="small" loading={fixing === warning.id} onClick={() => fix(warning)}>
              {warning.fix}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** One press that mends a problem. */
export function FixButton({ fix }: { fix: PlanFix | null }) {
  const { change, old } = usePlanContext();
  return fix ? (
    // Places of an outdated answer may be others by now.
    <Button size="small" disabled={old} onClick={() => change((now) => mended(now, fix))}>
      {fix.label}
    </Button>
  ) : null;
}

/** Returns a function that fixes what a warning is about, and the id of the warning being fixed. */
function useFixes() {
  const { content, change } = usePlanContext();
  const notice = useNotice();
  const [fixing, setFixing] = useState<string | null>(null);
  const newest = useRef(content);
  newest.current = content;
  const fix = async (warning: { id: string; fix: string }) => {
    setFixing(warning.id);
    try {
      const mended = await fixed(content, warning.id);
      // The answer belongs to an earlier content.
      if (newest.current !== content) {
        notice.warn(t`The session was changed meanwhile, so nothing was done. Press once more.`);
        return;
      }
      change(() => mended);
      notice.done(t`${warning.fix}: done. Undo takes it back.`);
    } catch (failure) {
      notice.failed(failure);
    } finally {
      setFixing(null);
    }
  };
  return { fix, fixing };
}

type Changed = NonNullable<ReturnType<typeof usePlanContext>["document"]>["changed"][number];

/** A combination that is another in the library than in the plan. */
function ChangedCombination({ changed: one }: { changed: Changed }) {
  const { change } = usePlanContext();
  return (
    <li className="advisory is-change">
      <b>{one.name}</b> {one.archived ? t`was archived since it was planned.` : t`was changed since it was planned.`}
      <span className="both">
        <span>
          <small>
            <Trans>planned</Trans>
          </small>{" "}
          <b className="numbers">{one.planned.chain}</b>
        </span>
        <span>
          <small>
            <Trans>now</Trans>
          </small>{" "}
          <b className="numbers">{one.now.chain}</b>
        </span>
      </span>
      {!one.archived && (
        <Button size="small" onClick={() => change((now) => renewed(now, one.id, one.now))}>
          <Trans>Take the new one</Trans>
        </Button>
      )}
    </li>
  );
}

/** Parses a place as the server writes it. */
export function placeOf(address: string): Place | null {
  const number = (of: string) => {
    const found = new RegExp(`${of}\\[(\\d+)\\]`).exec(address)?.[1];
    return found === undefined ? undefined : Number(found);
  };
  const block = number("blocks");
  return block === undefined ? null : { block, round: number("rounds"), track: number("tracks"), set: number("sets") };
}
