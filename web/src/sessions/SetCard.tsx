import { useDraggable, useDroppable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { InputNumber, Select } from "antd";
import { useRef } from "react";
import { bounds } from "../api/bounds";
import { answered, api } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { useNotice } from "../ui/useNotice";
import { VerdictMark } from "../ui/VerdictMark";
import { ActionButton } from "./ActionButton";
import { CombinationField } from "./CombinationField";
import type { Dragged, Dropped } from "./drag";
import { Parameters } from "./Parameters";
import { address, copied, dropped, moved, type Place, type PlannedSet, without, withSet, withSets } from "./plan";
import { usePlanContext } from "./planContext";

/** A stretch of work: its drill, its combinations with their lines, and its settings. */
export function SetCard({
  set,
  place,
  compact,
  alone,
}: {
  set: PlannedSet;
  place: Place;
  compact: boolean;
  alone: boolean;
}) {
  const { content, document, drills, exercises, change, selected, select } = usePlanContext();
  const notice = useNotice();
  const drill = drills.find((one) => one.id === set.drill);
  const key = address(place);
  const drag = useDraggable({
    id: `set ${key}`,
    data: { kind: "set", place, label: drill?.title ?? set.drill } satisfies Dragged,
  });
  const target = useDroppable({ id: `set-target ${key}`, data: { kind: "set", place } satisfies Dropped });
  const put = (values: Partial<PlannedSet>, typed = false) =>
    change((now) => withSet(now, place, (s) => ({ ...s, ...values })), typed);
  const newest = useRef(set);
  newest.current = set;
  const chosen = selected !== null && address(selected) === key;
  const most = drill?.most ?? 1;
  const problems =
    document?.problems.filter((problem) => problem.place === key || problem.place.startsWith(`${key}.`)) ?? [];
  const rungs = (document?.cues ?? []).filter(
    (cue) =>
      (cue.kind === "rung" || cue.kind === "step") &&
      cue.place.block === place.block &&
      cue.place.round === place.round &&
      cue.place.set === place.set &&
      cue.track === (place.track ?? null),
  );
  const together = document?.shared.find((one) => one.place === key);
  const lineOf = (chain: string, stance: string) =>
    document?.chains.find((one) => one.chain === chain && one.stance === stance);
  const order = async () => {
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
      put({ combinations: answer.order.flatMap((at) => set.combinations[at] ?? []) });
      notice.done(
        answer.proven
          ? t`In this order each shares most with the one before; no order is better.`
          : t`In this order each shares most with the one before: ${answer.cost}, where no order is below ${answer.bound}.`,
      );
    } catch (error) {
      notice.failed(error);
    }
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: what is in it takes the press; it only notes where one is
    <div
      ref={target.setNodeRef}
      className={`set-card${chosen ? " is-chosen" : ""}${target.isOver ? " is-over" : ""}${problems.some((one) => one.stops) ? " has-problem" : ""}`}
      onClick={() => !chosen && select(place)}
      onKeyUp={(event) => event.key === "Tab" && !chosen && select(place)}
    >
      <div className="set-head" ref={drag.setNodeRef}>
        <button
          type="button"
          className="grip"
          aria-label={t`Move this set, ${drill?.title ?? set.drill}`}
          {...drag.listeners}
          {...drag.attributes}
        >
          ⠿
        </button>
        {(!compact || chosen || set.drill !== "exercise") && (
          <Select
            size="small"
            className="set-drill"
            value={set.drill}
            aria-label={t`Drill`}
            showSearch={{ optionFilterProp: "label" }}
            options={drills.map((one) => ({ value: one.id, label: one.title, title: one.about }))}
            onChange={(next) => put({ drill: next, parameters: {} })}
            popupMatchSelectWidth={false}
            getPopupContainer={(node) => node.closest("main") ?? node}
          />
        )}
        {set.drill === "exercise" && (
          <Select
            size="small"
            className="set-exercise"
            value={String(set.parameters?.exercise ?? "jogging")}
            aria-label={t`Exercise`}
            showSearch={{ optionFilterProp: "label" }}
            options={exercises.map((one) => ({ value: one.id, label: one.name, title: one.caution }))}
            onChange={(exercise) => put({ parameters: { ...set.parameters, exercise } })}
            popupMatchSelectWidth={false}
            getPopupContainer={(node) => node.closest("main") ?? node}
          />
        )}
        {(!alone || set.seconds) && (
          <InputNumber
            size="small"
            className="tiny"
            {...bounds("PlanSet", "seconds")}
            step={15}
            value={set.seconds ?? null}
            placeholder={t`share`}
            aria-label={t`Seconds of the set (empty: an equal share)`}
            onChange={(seconds) => put({ seconds }, true)}
          />
        )}
        <span className="ways">
          {!compact && (
            <ActionButton
              label={t`Copy the set`}
              sign="copy"
              onPress={() => change((now) => withSets(now, place, (sets) => copied(sets, place.set ?? 0)))}
            />
          )}
          <ActionButton
            label={t`Remove the set`}
            sign="out"
            onPress={() => change((now) => withSets(now, place, (sets) => without(sets, place.set ?? 0)))}
          />
        </span>
      </div>
      {set.combinations.length > 0 && (
        <ol className="set-chains">
          {set.combinations.map((one, at) => {
            const known = lineOf(one.chain, one.stance ?? "orthodox");
            // What it shares with the previous one; of another set while the answer is outdated.
            const shared = new Set(together?.items.length === set.combinations.length ? together.items[at] : []);
            return (
              // biome-ignore lint/suspicious/noArrayIndexKey: the same combination may stand twice
              <li key={at}>
                <span className="set-chain">
                  <b className="numbers" title={one.name}>
                    {one.chain}
                  </b>
                  {known && <VerdictMark verdict={known.verdict} />}
                  <span className="ways">
                    {set.combinations.length > 1 && (
                      <ActionButton
                        label={t`${one.chain} earlier`}
                        sign="up"
                        onPress={() => put({ combinations: moved(set.combinations, at, at - 1) })}
                      />
                    )}
                    <ActionButton
                      label={t`Take ${one.chain} out`}
                      sign="out"
                      onPress={() => put({ combinations: without(set.combinations, at) })}
                    />
                  </span>
                </span>
                {known && !compact && (
                  <CombinationLine
                    drawing={known.line}
                    name={one.name ?? one.chain}
                    marked={shared.size > 0 ? shared : undefined}
                  />
                )}
              </li>
            );
          })}
        </ol>
      )}
      {most > set.combinations.length && (
        <CombinationField
          empty={set.combinations.length === 0}
          onAdd={(chain) =>
            change((now) => withSet(now, place, (s) => dropped(s, { chain, stance: "orthodox" }, most)))
          }
        />
      )}
      {set.combinations.length > 1 && chosen && (
        <button type="button" className="link-button" onClick={order}>
          <Trans>Put in order</Trans>
        </button>
      )}
      {rungs.length > 0 && (
        <p className="rungs" title={t`Each is checked by itself`}>
          {[...new Map(rungs.map((cue) => [cue.text, cue])).values()].map((cue) => (
            <span key={cue.text} className={`rung rung-${cue.verdict ?? "flows"}`}>
              {cue.text}
            </span>
          ))}
        </p>
      )}
      {drill && chosen && <Parameters drill={drill} set={set} onPut={put} />}
      {problems.map((problem) => (
        <p key={problem.message} className={problem.stops ? "set-problem stops" : "set-problem"}>
          {problem.message}
        </p>
      ))}
    </div>
  );
}
