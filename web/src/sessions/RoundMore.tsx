import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Input, InputNumber, Select } from "antd";
import { bounds } from "../api/bounds";
import type { PlanRound } from "../api/schema";
import { labelOf, MEDIA } from "../ui/words";
import { PaceSelect } from "./PaceSelect";
import { PurposeSelect } from "./PurposeSelect";
import { newSet, withLaps } from "./plan";
import { usePlanContext } from "./planContext";

interface Props {
  round: PlanRound;
  onPut: (values: Partial<PlanRound>, typed?: boolean) => void;
}

/** What a round is thrown at and for, whether athletes move on, and a note. */
export function RoundMore({ round, onPut }: Props) {
  const { content } = usePlanContext();
  return (
    <Flex wrap align="center" gap="small" className="round-more">
      <span className="small">
        <InputNumber
          size="small"
          className="tiny"
          {...bounds("PlanRound", "laps")}
          value={round.laps}
          aria-label={t`Laps`}
          onChange={(laps) => onPut(withLaps(round, laps ?? 1, round.breath), true)}
        />{" "}
        {plural(round.laps, { one: "lap", other: "laps" })}
      </span>
      <span className="small">
        <InputNumber
          size="small"
          className="tiny"
          {...bounds("PlanRound", "breath")}
          step={5}
          value={round.breath}
          aria-label={t`Breath between sets in seconds`}
          onChange={(breath) => onPut(withLaps(round, round.laps, breath ?? 0), true)}
        />{" "}
        <Trans>s between sets</Trans>
      </span>
      <PaceSelect
        value={round.tempo}
        usual={content.tempo}
        label={t`Tempo of the round`}
        onChange={(tempo) => onPut({ tempo })}
      />
      <Select
        size="small"
        className="medium"
        value={round.medium ?? ""}
        aria-label={t`Medium`}
        options={[
          { value: "", label: labelOf(MEDIA, content.medium) },
          ...MEDIA.filter((one) => one.value !== content.medium),
        ]}
        onChange={(medium) => onPut({ medium: medium === "" ? undefined : (medium as PlanRound["medium"]) })}
        popupMatchSelectWidth={false}
        getPopupContainer={(node) => node.parentElement ?? document.body}
      />
      <PurposeSelect
        value={round.purpose}
        label={t`What the round is for`}
        none={t`no purpose`}
        onChange={(purpose) => onPut({ purpose })}
      />
      <button
        type="button"
        className={round.moves ? "toggle is-on" : "toggle"}
        aria-pressed={round.moves}
        title={t`Athletes move on after each round; otherwise they stay in place`}
        onClick={() => onPut({ moves: !round.moves })}
      >
        <Trans>move on</Trans>
      </button>
      <Input
        size="small"
        className="round-note"
        value={round.note}
        {...bounds("PlanRound", "note")}
        placeholder={t`Note for the coach`}
        aria-label={t`Note of the round`}
        onChange={(event) => onPut({ note: event.target.value }, true)}
      />
      <InRest round={round} onPut={onPut} />
    </Flex>
  );
}

/** What is done in the rest after the round. */
function InRest({ round, onPut }: Props) {
  const { drills, exercises } = usePlanContext();
  const set = round.inRest;
  const value = set === undefined ? "" : set.drill === "exercise" ? `exercise ${set.parameters.exercise}` : set.drill;
  return (
    <>
      <Select
        size="small"
        value={value}
        aria-label={t`In the rest`}
        showSearch={{ optionFilterProp: "label" }}
        options={[
          { value: "", label: t`nothing in the rest` },
          ...drills
            .filter((one) => one.inRest && one.id !== "exercise")
            .map((one) => ({
              value: one.id,
              label: one.id === "demonstration" ? t`in the rest: what comes, slowly` : t`in the rest: ${one.title}`,
            })),
          ...exercises.map((one) => ({ value: `exercise ${one.id}`, label: t`in the rest: ${one.name}` })),
        ]}
        onChange={(next) => {
          const [drill = "", exercise] = next.split(" ");
          onPut({ inRest: drill === "" ? undefined : { ...newSet(drill), parameters: exercise ? { exercise } : {} } });
        }}
        popupMatchSelectWidth={false}
        getPopupContainer={(node) => node.parentElement ?? document.body}
      />
      {set?.drill === "talk" && (
        <Input
          size="small"
          className="round-note"
          value={String(set.parameters.about ?? "")}
          maxLength={200}
          placeholder={t`What is said in the rest`}
          aria-label={t`What is said in the rest`}
          onChange={(event) => onPut({ inRest: { ...set, parameters: { about: event.target.value } } }, true)}
        />
      )}
    </>
  );
}
