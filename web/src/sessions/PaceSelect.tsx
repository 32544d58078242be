import { t } from "@lingui/core/macro";
import { Select } from "antd";
import { usePlanContext } from "./planContext";

interface Props {
  value: number | undefined;
  label: string;
  /** The tempo that counts where none is chosen. */
  usual: number;
  onChange: (tempo: number | undefined) => void;
}

/** The tempo of a part of the session, in a word. */
export function PaceSelect({ value, label, usual, onChange }: Props) {
  const { paces } = usePlanContext();
  const word = (tempo: number) => paces.find((one) => one.tempo === tempo)?.label ?? String(tempo);
  return (
    <Select
      size="small"
      value={value ?? 0}
      aria-label={label}
      options={[
        { value: 0, label: t`${word(usual)} (as around it)` },
        ...paces.map((one) => ({ value: one.tempo, label: one.label })),
        ...(value === undefined || paces.some((one) => one.tempo === value) ? [] : [{ value, label: String(value) }]),
      ]}
      onChange={(next) => onChange(next === 0 ? undefined : next)}
      popupMatchSelectWidth={false}
      getPopupContainer={(node) => node.parentElement ?? document.body}
    />
  );
}
