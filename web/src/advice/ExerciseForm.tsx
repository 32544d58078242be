import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, Flex, Input, InputNumber } from "antd";
import { bounds } from "../api/bounds";
import type { Exercise } from "../api/client";
import { useMay } from "../api/session";

/** The parts of a session an exercise can belong to. */
export const PARTS = [
  { value: "warm-up", label: t`warm-up` },
  { value: "conditioning", label: t`conditioning` },
  { value: "cool-down", label: t`cool-down` },
  { value: "between", label: t`between repetitions` },
];

/** The fields of an exercise that are one line of text. */
const LINES = { name: t`Name`, does: t`What it does`, easier: t`Easier`, caution: t`Caution` };

interface Props {
  exercise: Exercise;
  onChange: (values: Partial<Exercise>) => void;
  onRemove: () => void;
}

export function ExerciseForm({ exercise, onChange, onRemove }: Props) {
  const mayEdit = useMay("EDIT_ADVICE");
  const line = (field: keyof typeof LINES) => (
    <>
      <label htmlFor={`${exercise.id}-${field}`}>{LINES[field]}</label>
      <Input
        id={`${exercise.id}-${field}`}
        value={exercise[field]}
        {...bounds("Exercise", field)}
        readOnly={!mayEdit}
        onChange={(event) => onChange({ [field]: event.target.value })}
      />
    </>
  );
  return (
    <Flex vertical gap="small" className="exercise-form">
      {line("name")}
      {line("does")}
      <span className="exercise-label">
        <Trans>Belongs to</Trans>
      </span>
      <Checkbox.Group
        value={exercise.for}
        options={PARTS}
        disabled={!mayEdit}
        onChange={(parts) => onChange({ for: parts as Exercise["for"] })}
      />
      <Flex component="span" gap="small" className="exercise-pair">
        <span>
          <span className="small">
            <Trans>Seconds</Trans>
          </span>
          <InputNumber
            aria-label={t`Seconds`}
            {...bounds("Exercise", "seconds")}
            value={exercise.seconds}
            readOnly={!mayEdit}
            onChange={(seconds) => onChange({ seconds: seconds ?? 30 })}
          />
        </span>
        <span>
          <span className="small">
            <Trans>or times</Trans>
          </span>
          <InputNumber
            aria-label={t`Times`}
            {...bounds("Exercise", "count")}
            value={exercise.count}
            readOnly={!mayEdit}
            onChange={(count) => onChange({ count })}
          />
        </span>
      </Flex>
      {line("easier")}
      {line("caution")}
      {mayEdit && (
        <Button onClick={onRemove}>
          <Trans>Remove from the list</Trans>
        </Button>
      )}
    </Flex>
  );
}
