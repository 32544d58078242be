import { t } from "@lingui/core/macro";
import { Checkbox, Flex, Input, InputNumber, Select } from "antd";
import { bounds } from "../api/bounds";
import type { Drill, DrillParameter } from "../api/client";
import type { PlanSet } from "../api/schema";
import { useThemes } from "../api/useThemes";
import { Segmented } from "../ui/Segmented";
import type { ParameterValue } from "./plan";
import { usePlanContext } from "./planContext";

/** The settings of a drill; the drill defines its fields. */
export function Parameters({
  drill,
  set,
  onPut,
}: {
  drill: Drill;
  set: PlanSet;
  onPut: (values: Partial<PlanSet>, typed?: boolean) => void;
}) {
  const { exercises } = usePlanContext();
  const put = (name: string, value: ParameterValue | null, typed = false) => {
    const { [name]: _, ...rest } = set.parameters;
    onPut({ parameters: value === null ? rest : { ...rest, [name]: value } }, typed);
  };
  return (
    <Flex vertical gap="small" className="parameters">
      <p className="small">{drill.about}</p>
      {drill.parameters.map((parameter) => (
        <Flex
          component="span"
          wrap
          align="center"
          justify="space-between"
          gap="small"
          key={parameter.name}
          className="parameter"
        >
          <span className="small">{parameter.title}</span>
          <Field
            parameter={parameter}
            value={set.parameters?.[parameter.name] ?? (parameter.usual as ParameterValue)}
            exercises={exercises.map(({ id, name }) => ({ value: id, label: name }))}
            onPut={(value, typed) => put(parameter.name, value, typed)}
          />
        </Flex>
      ))}
      <Input
        size="small"
        value={set.note}
        {...bounds("PlanSet", "note")}
        placeholder={t`Note`}
        aria-label={t`Note of the set`}
        onChange={(event) => onPut({ note: event.target.value }, true)}
      />
    </Flex>
  );
}

interface FieldProps {
  parameter: DrillParameter;
  value: ParameterValue;
  exercises: { value: string; label: string }[];
  onPut: (value: ParameterValue | null, typed?: boolean) => void;
}

function Field({ parameter, value, exercises, onPut }: FieldProps) {
  const inside = (node: HTMLElement) => node.closest("main") ?? node;
  switch (parameter.kind) {
    case "whole":
      return (
        <InputNumber
          size="small"
          min={parameter.least}
          max={parameter.most}
          value={value as number}
          suffix={parameter.unit}
          aria-label={parameter.title}
          onChange={(next) => onPut(next, true)}
        />
      );
    case "wholes":
      return <NumbersField parameter={parameter} value={value as number[]} onPut={onPut} />;
    case "flag":
      return (
        <Checkbox
          checked={value as boolean}
          onChange={(event) => onPut(event.target.checked)}
          aria-label={parameter.title}
        />
      );
    case "text":
      return (
        <Input
          size="small"
          value={value as string}
          maxLength={parameter.most}
          aria-label={parameter.title}
          onChange={(event) => onPut(event.target.value, true)}
        />
      );
    case "chain":
      return (
        <Input
          size="small"
          value={value as string}
          maxLength={parameter.most}
          placeholder={t`none`}
          aria-label={parameter.title}
          onChange={(event) => onPut(event.target.value === "" ? null : event.target.value, true)}
        />
      );
    case "chains":
      return <ChainsField parameter={parameter} value={value as string[]} onPut={onPut} />;
    case "themes":
      return <ThemesField parameter={parameter} value={value as string[]} onPut={onPut} />;
    case "choices":
      return (
        <Select
          size="small"
          mode="multiple"
          value={value as string[]}
          options={parameter.choices}
          aria-label={parameter.title}
          onChange={(next: string[]) => next.length > 0 && onPut(next)}
          popupMatchSelectWidth={false}
          getPopupContainer={inside}
        />
      );
    default:
      return parameter.kind === "choice" && parameter.choices.length <= 3 ? (
        <Segmented
          size="small"
          value={value as string}
          options={parameter.choices}
          aria-label={parameter.title}
          onChange={(next) => onPut(next as string)}
        />
      ) : (
        <Select
          size="small"
          value={value as string}
          options={parameter.kind === "exercise" ? exercises : parameter.choices}
          aria-label={parameter.title}
          showSearch={{ optionFilterProp: "label" }}
          onChange={(next: string) => onPut(next)}
          popupMatchSelectWidth={false}
          getPopupContainer={inside}
        />
      );
  }
}

interface TextsProps extends Pick<FieldProps, "parameter" | "onPut"> {
  value: string[];
}

/** Several chains in one field, with semicolons between them; nothing between two is left open. */
function ChainsField({ parameter, value, onPut }: TextsProps) {
  return (
    <Input
      size="small"
      // What is being typed is not a list yet.
      key={JSON.stringify(value)}
      defaultValue={value.join("; ")}
      placeholder={t`computed; such as 2; 3b`}
      aria-label={parameter.title}
      onBlur={(event) => {
        const chains = event.target.value.split(";").map((part) => part.trim());
        onPut(chains.every((chain) => chain === "") ? null : chains);
      }}
      onPressEnter={(event) => event.currentTarget.blur()}
    />
  );
}

/** Known themes, and those of the library. */
function ThemesField({ parameter, value, onPut }: TextsProps) {
  const own = useThemes().data ?? [];
  const known = parameter.choices.map((one) => one.label);
  return (
    <Select
      size="small"
      mode="multiple"
      value={value}
      options={[
        ...parameter.choices,
        ...own.filter(({ theme }) => !known.includes(theme)).map(({ theme }) => ({ value: theme, label: theme })),
      ]}
      aria-label={parameter.title}
      onChange={(next: string[]) => next.length > 0 && onPut(next)}
      popupMatchSelectWidth={false}
      getPopupContainer={(node) => node.closest("main") ?? node}
    />
  );
}

interface NumbersProps extends Pick<FieldProps, "parameter" | "onPut"> {
  value: number[];
}

/** Several numbers in one field; with none of them they are shared equally. */
function NumbersField({ parameter, value, onPut }: NumbersProps) {
  return (
    <Input
      size="small"
      // What is being typed is not a list of numbers yet.
      key={JSON.stringify(value)}
      defaultValue={value.join(", ")}
      placeholder={parameter.unit === "seconds" ? t`shared equally` : t`all alike`}
      suffix={parameter.unit}
      aria-label={parameter.title}
      onBlur={(event) => {
        const numbers = event.target.value.split(/[^\d]+/).filter((part) => part !== "");
        onPut(numbers.length === 0 ? null : numbers.map(Number));
      }}
      onPressEnter={(event) => event.currentTarget.blur()}
    />
  );
}
