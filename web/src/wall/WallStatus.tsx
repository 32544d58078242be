import { useState } from "react";
import type { ScreenClient, ScreenView } from "./screenClient";
import type { SoundCheck } from "./soundCheck";
import type { SoundState } from "./useSound";

const REACH = {
  told: "told of changes at once",
  asking: "asks for changes every 2 s",
  away: "no server; it goes on by itself",
};

/** The state of a wall on request: clock, connection and sound. */
export function WallStatus({
  client,
  view,
  sound,
  onClose,
}: {
  client: ScreenClient;
  view: ScreenView;
  sound: SoundState;
  onClose: () => void;
}) {
  const bound = client.clock.bound();
  const [checked, setChecked] = useState<SoundCheck | null>(null);
  const [checks, setChecks] = useState(false);
  const check = async () => {
    setChecks(true);
    setChecked(await sound.check().catch(() => null));
    setChecks(false);
  };
  return (
    <aside className="wall-corner" aria-label="This wall">
      <dl>
        <dt>Wall</dt>
        <dd>{view.screen?.name ?? "not known yet"}</dd>
        <dt>Clock</dt>
        <dd>{Number.isFinite(bound) ? `at most ${Math.ceil(bound)} ms off` : "not set yet"}</dd>
        <dt>Server</dt>
        <dd>{REACH[view.reach]}</dd>
        <dt>Presses not sent</dt>
        <dd>{view.waiting}</dd>
        <dt>Sound</dt>
        <dd>
          {checked && (
            <span role="status">
              {checked.measured} sounds measured, at most {Math.ceil(checked.worstMs)} ms off;{" "}
            </span>
          )}
          {sound.needsPress ? "needs a press" : sound.muted ? "muted" : `${Math.round(100 * sound.volume)} %`}
          {sound.missing > 0 && `, ${sound.missing} calls could not be fetched`}
        </dd>
      </dl>
      <label>
        Volume
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
          {sound.muted ? "Turn the sound on" : "Mute"}
        </button>
        <button type="button" disabled={checks || !view.programme} onClick={() => void check()}>
          {checks ? "Measuring …" : "Measure the sound"}
        </button>
        <button type="button" onClick={onClose}>
          Close
        </button>
      </p>
      <p className="wall-keys">Space pause · ← → back, skip · M mute · + − volume · F whole screen · I this</p>
    </aside>
  );
}
