import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useState } from "react";
import { stretchAfter } from "./moment";
import { soundsOf } from "./sounds";
import { positionAt, stands } from "./state";
import { timeLeft } from "./time";
import { useScreen, useTick } from "./useScreen";
import "./wall.css";

/** Time in ms for which the lamp of the bell is lit. */
const LAMP_MS = 1500;

/**
 * Simulates two devices of a gym, a large button and a bell, over the HTTP calls that any device can use; see
 * docs/formats/devices.md.
 */
export function DeviceScreen({ screenKey }: { screenKey: string }) {
  const { client, view } = useScreen(screenKey);
  const [said, setSaid] = useState("");
  useTick();
  const { run, programme } = view;
  const now = client.clock.now();
  const position = run === null ? 0 : positionAt(run.state, now);
  const bells =
    programme === null ? [] : soundsOf(programme).filter((sound) => sound.kind === "bell" || sound.kind === "end-bell");
  const next = bells.find((bell) => bell.atMs > position);
  const rings =
    run !== null && bells.some((bell) => bell.atMs <= position && position - bell.atMs < LAMP_MS * run.state.speed);
  const isStanding = run !== null && stands(run.state, now);
  useEffect(() => {
    document.title = t`Button and bell`;
  }, []);
  return (
    <main className="wall-page device">
      <button
        type="button"
        className="device-button"
        disabled={run === null || !view.screen?.hasKeys}
        onClick={() => {
          setSaid(isStanding ? "sent: resume" : "sent: pause");
          void client.press(isStanding ? "resume" : "pause");
        }}
      >
        {isStanding ? t`Resume` : t`Pause`}
      </button>
      <button
        type="button"
        className="device-button"
        disabled={run === null || programme === null || !view.screen?.hasKeys}
        onClick={() => {
          if (programme) {
            setSaid("sent: jump to what comes");
            void client.press("jump", stretchAfter(programme, position));
          }
        }}
      >
        <Trans>Skip</Trans>
      </button>
      <p className={rings ? "device-bell is-ringing" : "device-bell"} role="status">
        {run === null
          ? t`No session runs`
          : rings
            ? t`Bell`
            : next && !isStanding
              ? t`Bell in ${timeLeft((next.atMs - position) / run.state.speed)}`
              : t`No more bells`}
      </p>
      <p className="device-said">{said}</p>
    </main>
  );
}
