import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex } from "antd";
import type { PlannedEntry } from "../api/client";

interface Props {
  planned: PlannedEntry;
  /** Whether the coach says by hand what was drilled instead. */
  isChanged: boolean;
  onChange: () => void;
  onLeave: () => void;
}

/** What the planned session had in it, which is logged unless the coach changes it. */
export function AsPlanned({ planned, isChanged, onChange, onLeave }: Props) {
  return (
    <Flex vertical gap="small" className="as-planned">
      <p>
        <b>{isChanged ? t`Changed from “${planned.name}”` : t`As planned in “${planned.name}”`}</b>{" "}
        {!isChanged && (
          <span className="small">
            <Trans>{Math.round(planned.workMs / 60_000)} minutes of work</Trans>
          </span>
        )}
      </p>
      {!isChanged && (
        <ul>
          {planned.drilled.map((one) => (
            <li key={`${one.id} ${one.text}`}>
              <b>{one.name || one.text}</b> {one.name && <span className="drilled-chain">{one.text}</span>}{" "}
              <small>
                <Trans>{Math.round(one.ms / 6000) / 10} min</Trans>
              </small>
            </li>
          ))}
        </ul>
      )}
      <Flex wrap gap="small">
        {!isChanged && (
          <Button onClick={onChange}>
            <Trans>Change what was drilled</Trans>
          </Button>
        )}
        <Button type="text" onClick={onLeave}>
          <Trans>Not this session</Trans>
        </Button>
      </Flex>
    </Flex>
  );
}
