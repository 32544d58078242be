import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, InputNumber, Select } from "antd";
import type { Effects, Model, Rules } from "../api/client";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { effectOf, shown } from "./numbers";
import { useEffects, useModel } from "./useHouseRules";

type Value = Model["groups"][number]["values"][number];
type Effect = Effects["effects"][number];
type Calibration = Record<string, number>;

const KINDS = { body: t`The body`, strike: t`Strikes`, move: t`Moves` } as const;

interface Props {
  set: Rules;
  calibration: Calibration;
  /** The selected group: the body, a strike or a move. */
  of: string;
  mayEdit: boolean;
  onOf: (of: string) => void;
  onChange: (calibration: Calibration) => void;
}

/** The numbers of the check with unit, source, their effects, and the gym's own values. */
export function Numbers({ set, calibration, of, mayEdit, onOf, onChange }: Props) {
  const model = useModel();
  const groups = model.data?.groups ?? [];
  const group = groups.find((one) => one.of === of) ?? groups[0];
  const effects = useEffects(set, group?.values.map((value) => value.key) ?? [], calibration, mayEdit);
  if (model.isError) {
    return <Failure error={model.error} />;
  }
  if (!group) {
    return <Loading what={t`Loading the numbers`} />;
  }
  const own = (one: Model["groups"][number]) => one.values.filter((value) => value.key in calibration).length;
  const give = (key: string, value: number, asItCame: number) => {
    const { [key]: _, ...others } = calibration;
    onChange(value === asItCame ? others : { ...others, [key]: value });
  };
  return (
    <section className="panel numbers-of-model" aria-label={t`Numbers of the model`}>
      <h2>
        <Trans>What the check works with</Trans>
      </h2>
      <p className="small">
        <Trans>
          Every wait comes from these numbers. Most are house values: written down from coaching practice and held
          against {effects.data?.labelled ?? t`the`} labelled chains. Where your athletes differ, set your own.
        </Trans>
      </p>
      <Flex wrap align="center" gap="small" className="numbers-of">
        <Select
          showSearch={{ optionFilterProp: "label" }}
          value={group.of}
          onChange={onOf}
          aria-label={t`Whose numbers`}
          options={(["body", "strike", "move"] as const).map((kind) => ({
            label: KINDS[kind],
            options: groups
              .filter((one) => one.kind === kind)
              .map((one) => ({
                value: one.of,
                label: own(one) > 0 ? t`${one.name} (${own(one)} of our own)` : one.name,
              })),
          }))}
        />
        {Object.keys(calibration).length > 0 && (
          <span className="small">
            <Trans>{Object.keys(calibration).length} of our own in </Trans>
            {groups
              .filter((one) => own(one) > 0)
              .map((one) => (
                <button key={one.of} type="button" className="chip" onClick={() => onOf(one.of)}>
                  {one.name}
                </button>
              ))}
          </span>
        )}
      </Flex>
      {group.note && <p className="small">{`${group.note[0]?.toUpperCase()}${group.note.slice(1)}.`}</p>}
      <Failure error={effects.error} />
      <ul>
        {group.values.map((value) => (
          <NumberRow
            key={value.key}
            value={value}
            own={calibration[value.key]}
            mayEdit={mayEdit}
            effect={effects.data?.effects.find((one) => one.key === value.key)}
            gym={effects.data?.gym ?? 0}
            onChange={(next) => give(value.key, next, value.value)}
          />
        ))}
      </ul>
    </section>
  );
}

interface RowProps {
  value: Value;
  own: number | undefined;
  mayEdit: boolean;
  effect: Effect | undefined;
  gym: number;
  onChange: (value: number) => void;
}

function NumberRow({ value, own, mayEdit, effect, gym, onChange }: RowProps) {
  const isWhole = value.step >= 1;
  return (
    <li className={own === undefined ? "number-row" : "number-row number-own"}>
      <div className="number-what">
        <b>{value.name}</b>
        <span>{value.meaning}</span>
        <span className="small">
          {value.unit} · {value.source}
        </span>
      </div>
      <div className="number-value">
        <InputNumber
          value={own ?? value.value}
          min={value.least}
          max={value.most}
          step={value.step}
          precision={isWhole ? 0 : 2}
          disabled={!mayEdit}
          onChange={(next) => next !== null && onChange(next)}
          aria-label={`${value.name}, ${value.unit}`}
        />
        <span className="small">
          <Trans>
            {shown(value.least)} to {shown(value.most)}
          </Trans>
        </span>
        {own !== undefined && mayEdit && (
          <Button size="small" type="text" onClick={() => onChange(value.value)}>
            <Trans>Back to {shown(value.value)}</Trans>
          </Button>
        )}
      </div>
      <div className="number-effect">
        {effect?.moves.map((move) => (
          <span key={move.to} title={move.chains.map((one) => `${one.notation}: ${one.from} → ${one.to}`).join("\n")}>
            <b>{shown(move.to)}</b> {effectOf(move, gym)}
          </span>
        ))}
      </div>
    </li>
  );
}
