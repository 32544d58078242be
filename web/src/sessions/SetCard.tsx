import { useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import type { PlanSet } from "../api/schema";
import { FixButton } from "./Advisories";
import { CombinationField } from "./CombinationField";
import type { Dropped } from "./drag";
import { Parameters } from "./Parameters";
import { address, dropped, type Place, tempoAt, withSet } from "./plan";
import { usePlanContext } from "./planContext";
import { SetChains } from "./SetChains";
import { SetHead } from "./SetHead";
import { SetMore } from "./SetMore";
import { useSetOrder } from "./useSetOrder";

/** A stretch of work: its drill, its combinations with their lines, and its settings. */
export function SetCard({
  set,
  place,
  compact,
  alone,
}: {
  set: PlanSet;
  place: Place;
  compact: boolean;
  alone: boolean;
}) {
  const { content, document, drills, change, selected, select } = usePlanContext();
  const drill = drills.find((one) => one.id === set.drill);
  const key = address(place);
  const target = useDroppable({ id: `set-target ${key}`, data: { kind: "set", place } satisfies Dropped });
  const put = (values: Partial<PlanSet>, typed = false) =>
    change((now) => withSet(now, place, (s) => ({ ...s, ...values })), typed);
  const order = useSetOrder(set, (combinations) => put({ combinations }));
  const chosen = selected !== null && address(selected) === key;
  const most = drill?.most ?? 1;
  const words = document?.sets.find((one) => one.place === key);
  const problems =
    document?.problems.filter((problem) => problem.place === key || problem.place.startsWith(`${key}.`)) ?? [];
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: what is in it takes the press; it only notes where one is
    <div
      ref={target.setNodeRef}
      className={`set-card${chosen ? " is-chosen" : ""}${target.isOver ? " is-over" : ""}${problems.some((one) => one.stops) ? " has-problem" : ""}`}
      onClick={() => !chosen && select(place)}
      onKeyUp={(event) => event.key === "Tab" && !chosen && select(place)}
    >
      <SetHead set={set} place={place} compact={compact} alone={alone} chosen={chosen} onPut={put} />
      {set.combinations.length > 0 && (
        <SetChains set={set} place={place} compact={compact} onCombinations={(combinations) => put({ combinations })} />
      )}
      {most > set.combinations.length && (chosen || set.combinations.length < (drill?.least ?? 1)) && (
        <CombinationField
          isEmpty={set.combinations.length === 0}
          takesMore={most > set.combinations.length + 1}
          onAdd={(combination) => change((now) => withSet(now, place, (s) => dropped(s, combination, most)))}
        />
      )}
      {set.combinations.length > 1 && chosen && (
        <button type="button" className="link-button" onClick={order}>
          <Trans>Put in order</Trans>
        </button>
      )}
      <Rungs place={place} />
      <Seams place={key} />
      {words && drill?.id !== "exercise" && (
        <p className="set-words">
          <b>{words.is}:</b> {words.does}
        </p>
      )}
      {words?.holder && chosen && (
        <details className="set-words">
          <summary>
            <Trans>For who holds the pads</Trans>
          </summary>
          <Trans>orthodox</Trans>: {words.holder.orthodox.join(" · ")}
          <br />
          <Trans>southpaw</Trans>: {words.holder.southpaw.join(" · ")}
        </details>
      )}
      {drill && chosen && <Parameters drill={drill} set={set} onPut={put} />}
      {drill && chosen && <SetMore drill={drill} set={set} usualTempo={tempoAt(content, place)} onPut={put} />}
      {problems.map((problem) => (
        <p key={problem.message} className={problem.stops ? "set-problem stops" : "set-problem"}>
          {problem.message} <FixButton fix={problem.fix} />
        </p>
      ))}
    </div>
  );
}

/** What waits between the repetitions of a chain. */
function Seams({ place }: { place: string }) {
  const { document } = usePlanContext();
  const seams = (document?.seams ?? []).filter((seam) => seam.place === place && seam.verdict !== "flows");
  return seams.map((seam) => (
    <p key={seam.chain} className="set-problem">
      <Trans>
        {seam.chain} as a loop: {seam.verdict} back to its start, +{seam.waitMs} ms. {seam.reason}
      </Trans>
    </p>
  ));
}

/** The rungs or steps of a drill, each with its own verdict. */
function Rungs({ place }: { place: Place }) {
  const { document } = usePlanContext();
  const rungs = (document?.cues ?? []).filter(
    (cue) =>
      (cue.kind === "rung" || cue.kind === "step") &&
      cue.place.block === place.block &&
      cue.place.round === place.round &&
      cue.place.set === place.set &&
      cue.track === (place.track ?? null),
  );
  return rungs.length > 0 ? (
    <Flex component="p" wrap gap="var(--space-2)" className="rungs" title={t`Each is checked by itself`}>
      {[...new Map(rungs.map((cue) => [cue.text, cue])).values()].map((cue) => (
        <span key={cue.text} className={`rung rung-${cue.verdict ?? "flows"}`}>
          {cue.text}
        </span>
      ))}
    </Flex>
  ) : null;
}
