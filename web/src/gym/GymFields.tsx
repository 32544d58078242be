import { Input, Select } from "antd";
import type { Gym, GymRequest } from "../api/client";
import { Segmented } from "../ui/Segmented";

const FIRST_WEEKDAYS = [
  { value: 1, label: "Monday" },
  { value: 6, label: "Saturday" },
  { value: 7, label: "Sunday" },
];

interface Props {
  gym: Gym;
  draft: Required<GymRequest>;
  onChange: (draft: Required<GymRequest>) => void;
}

/** The fields for the gym's name, time zone and start of the week. */
export function GymFields({ gym, draft, onChange }: Props) {
  return (
    <div className="stack">
      <label htmlFor="gym-name">Name of the gym</label>
      <Input
        id="gym-name"
        value={draft.name}
        maxLength={80}
        onChange={(event) => onChange({ ...draft, name: event.target.value })}
      />
      <p className="small">It is shown on walls, on cards and on paper.</p>
      <label htmlFor="time-zone">Time zone</label>
      <Select
        id="time-zone"
        showSearch={{ optionFilterProp: "label" }}
        value={draft.timeZone}
        onChange={(timeZone) => onChange({ ...draft, timeZone })}
        options={gym.timeZones.map((zone) => ({ value: zone, label: zone.replaceAll("_", " ") }))}
        style={{ width: "100%" }}
      />
      <span id="first-weekday">The week begins on</span>
      <Segmented
        value={draft.firstWeekday}
        onChange={(firstWeekday) => onChange({ ...draft, firstWeekday })}
        options={FIRST_WEEKDAYS}
        aria-labelledby="first-weekday"
      />
    </div>
  );
}
