import { useDraggable } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Select } from "antd";
import { timeBounds } from "../api/bounds";
import type { PlanSet } from "../api/schema";
import { TimeField } from "../ui/TimeField";
import { ActionButton } from "./ActionButton";
import type { Dragged } from "./drag";
import { address, copied, type Place, without, withSets } from "./plan";
import { usePlanContext } from "./planContext";

interface Props {
  set: PlanSet;
  place: Place;
  compact: boolean;
  alone: boolean;
  chosen: boolean;
  onPut: (values: Partial<PlanSet>, typed?: boolean) => void;
}

/** The drill of a set and its length, with what moves, copies and removes it. */
export function SetHead({ set, place, compact, alone, chosen, onPut }: Props) {
  const { drills, exercises, change } = usePlanContext();
  const drill = drills.find((one) => one.id === set.drill);
  const drag = useDraggable({
    id: `set ${address(place)}`,
    data: { kind: "set", place, label: drill?.title ?? set.drill } satisfies Dragged,
  });
  const inside = (node: HTMLElement) => node.closest("main") ?? node;
  return (
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
          onChange={(next) => onPut({ drill: next, parameters: {} })}
          popupMatchSelectWidth={false}
          getPopupContainer={inside}
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
          onChange={(exercise) => onPut({ parameters: { ...set.parameters, exercise } })}
          popupMatchSelectWidth={false}
          getPopupContainer={inside}
        />
      )}
      {(!alone || set.seconds) && (
        <TimeField
          {...timeBounds("PlanSet", "seconds")}
          step={15}
          value={set.seconds ?? null}
          placeholder={t`share`}
          aria-label={t`Length of the set (empty: an equal share)`}
          onChange={(seconds, isTyped) => onPut({ seconds }, isTyped)}
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
  );
}
