import { Select } from "antd";
import type { PlanRound } from "../api/schema";
import { PURPOSES } from "../ui/words";

interface Props {
  value: PlanRound["purpose"];
  label: string;
  /** What is shown where none is chosen. */
  none: string;
  onChange: (purpose: PlanRound["purpose"]) => void;
}

/** What a round or a set is for. */
export function PurposeSelect({ value, label, none, onChange }: Props) {
  return (
    <Select
      size="small"
      value={value ?? ""}
      aria-label={label}
      options={[{ value: "", label: none }, ...PURPOSES]}
      onChange={(purpose) => onChange(purpose === "" ? undefined : (purpose as PlanRound["purpose"]))}
      popupMatchSelectWidth={false}
      getPopupContainer={(node) => node.parentElement ?? document.body}
    />
  );
}
