import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { Programme, Screen, Stance } from "../api/client";

/** How an athlete reads a session. */
export interface Reading {
  stance: Stance;
  /** Null: as in the session. */
  numbering: string | null;
  /** The place of the group among those of the session. */
  track: number;
}
type Keep = (name: keyof Reading, value: string) => void;

function kept(): Reading {
  return {
    stance: localStorage.getItem("stance") === "southpaw" ? "southpaw" : "orthodox",
    numbering: localStorage.getItem("numbering") || null,
    track: Number(localStorage.getItem("track") ?? 0),
  };
}

/** Returns what was chosen on this phone, and the way to choose otherwise. */
export function useReading(): [Reading, Keep] {
  const [reading, setReading] = useState(kept);
  return [
    reading,
    (name, value) => {
      localStorage.setItem(name, value);
      setReading(kept);
    },
  ];
}

interface Props {
  reading: Reading;
  onKeep: Keep;
  numberings: Screen["numberings"];
  /** The groups to choose from; none where there is but one. */
  tracks: Programme["tracks"];
}

export function ReadingFields({ reading, onKeep, numberings, tracks }: Props) {
  return (
    <fieldset>
      <legend>
        <Trans>How you read it</Trans>
      </legend>
      <label>
        <Trans>Stance</Trans>
        <select value={reading.stance} onChange={(event) => onKeep("stance", event.target.value)}>
          <option value="orthodox">{t`orthodox`}</option>
          <option value="southpaw">{t`southpaw`}</option>
        </select>
      </label>
      <label>
        <Trans>Numbers</Trans>
        <select value={reading.numbering ?? ""} onChange={(event) => onKeep("numbering", event.target.value)}>
          <option value="">{t`as in the session`}</option>
          {numberings.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      {tracks.length > 0 && (
        <label>
          <Trans>Group</Trans>
          <select value={reading.track} onChange={(event) => onKeep("track", event.target.value)}>
            {tracks.map((one, at) => (
              <option key={one.name} value={at}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
      )}
    </fieldset>
  );
}
