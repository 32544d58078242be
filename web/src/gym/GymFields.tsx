import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex, Input, Select } from "antd";
import { bounds } from "../api/bounds";
import type { Gym, GymRequest } from "../api/client";
import { Segmented } from "../ui/Segmented";

const FIRST_WEEKDAYS = [
  { value: 1, label: t`Monday` },
  { value: 6, label: t`Saturday` },
  { value: 7, label: t`Sunday` },
];

interface Props {
  gym: Gym;
  draft: Required<GymRequest>;
  onChange: (draft: Required<GymRequest>) => void;
}

/** The fields for the gym's name, time zone and start of the week. */
export function GymFields({ gym, draft, onChange }: Props) {
  return (
    <Flex vertical gap="small" className="form-narrow">
      <label htmlFor="gym-name">
        <Trans>Name of the gym</Trans>
      </label>
      <Input
        id="gym-name"
        value={draft.name}
        {...bounds("GymRequest", "name")}
        onChange={(event) => onChange({ ...draft, name: event.target.value })}
      />
      <p className="small">
        <Trans>It is shown on walls, on cards and on paper.</Trans>
      </p>
      <label htmlFor="time-zone">
        <Trans>Time zone</Trans>
      </label>
      <Select
        id="time-zone"
        showSearch={{ optionFilterProp: "label" }}
        value={draft.timeZone}
        onChange={(timeZone) => onChange({ ...draft, timeZone })}
        options={gym.timeZones.map((zone) => ({ value: zone, label: zone.replaceAll("_", " ") }))}
        style={{ width: "100%" }}
      />
      <span id="first-weekday">
        <Trans>The week begins on</Trans>
      </span>
      <Segmented
        value={draft.firstWeekday}
        onChange={(firstWeekday) => onChange({ ...draft, firstWeekday })}
        options={FIRST_WEEKDAYS}
        aria-labelledby="first-weekday"
      />
    </Flex>
  );
}
