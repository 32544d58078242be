import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { ScreenClient, ScreenView } from "./screenClient";
import type { SoundCheck } from "./soundCheck";
import type { SoundState } from "./useSound";

const REACH = {
  told: t`changes are pushed`,
  asking: t`polls every 2 s`,
  away: t`no server; the session continues`,
};

interface Props {
  client: ScreenClient;
  view: ScreenView;
  sound: SoundState;
}

/** The state of a wall on request: clock, connection and sound. */
export function WallStatus({ client, view, sound, onClose }: Props & { onClose: () => void }) {
  const [checked, setChecked] = useState<SoundCheck | null>(null);
  const [checks, setChecks] = useState(false);
  const check = async () => {
    setChecks(true);
    setChecked(await sound.check().catch(() => null));
    setChecks(false);
  };
  return (
    <aside className="wall-corner" aria-label={t`This wall`}>
      <Facts {...{ client, view, sound, checked }} />
      <label>
        <Trans>Volume</Trans>
        <input
          type="range"
          min={0}
          max={1}
          step={0.05}
          value={sound.volume}
          onChange={(event) => sound.setVolume(Number(event.target.value))}
        />
      </label>
      <p>
        <button type="button" onClick={() => sound.setMuted(!sound.muted)}>
          {sound.muted ? t`Turn the sound on` : t`Mute`}
        </button>
        <button type="button" disabled={checks || !view.programme} onClick={() => void check()}>
          {checks ? t`Measuring …` : t`Measure the sound`}
        </button>
        <button type="button" onClick={onClose}>
          <Trans>Close</Trans>
        </button>
      </p>
      <p className="wall-keys">
        <Trans>Space pause · ← → back, skip · M mute · + − volume · F whole screen · I this</Trans>
      </p>
    </aside>
  );
}

/** @param checked the last measurement of the sound; null where there is none */
function Facts({ client, view, sound, checked }: Props & { checked: SoundCheck | null }) {
  const bound = client.clock.bound();
  return (
    <dl>
      <dt>
        <Trans>Wall</Trans>
      </dt>
      <dd>{view.screen?.name ?? t`not known yet`}</dd>
      <dt>
        <Trans>Clock</Trans>
      </dt>
      <dd>{Number.isFinite(bound) ? t`at most ${Math.ceil(bound)} ms off` : t`not set yet`}</dd>
      <dt>
        <Trans>Server</Trans>
      </dt>
      <dd>{REACH[view.reach]}</dd>
      <dt>
        <Trans>Commands not sent</Trans>
      </dt>
      <dd>{view.waiting}</dd>
      <dt>
        <Trans>Sound</Trans>
      </dt>
      <dd>
        {checked && (
          <span role="status">
            <Trans>
              {checked.measured} sounds measured, at most {Math.ceil(checked.worstMs)} ms off;{" "}
            </Trans>
          </span>
        )}
        {sound.needsPress ? t`needs a press` : sound.muted ? t`muted` : `${Math.round(100 * sound.volume)} %`}
        {sound.missing > 0 && t`, ${sound.missing} calls could not be fetched`}
      </dd>
    </dl>
  );
}
