import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useCallback, useState } from "react";
import type { Programme, ScreenRun } from "../api/client";
import { IdleWall } from "./IdleWall";
import { momentOf, type TrackMoment, tracksOf } from "./moment";
import { RecordingsHere, useRecordings } from "./recordings";
import { SharedTrackView } from "./SharedTrackView";
import type { ScreenClient, ScreenView } from "./screenClient";
import { positionAt, stands, stoppedFor, timeOf } from "./state";
import { TrackViews } from "./TrackViews";
import { useAwake } from "./useAwake";
import { useScreen, useTick } from "./useScreen";
import { useSound } from "./useSound";
import { useWallKeys } from "./useWallKeys";
import { WallStatus } from "./WallStatus";
import "./wall.css";

/** Time in ms for which the end of a session is shown. */
const SHOW_END_MS = 15 * 60_000;

/** The wall of the gym: time left, what now, what next, who works; readable from eight metres. */
export function WallScreen({ screenKey }: { screenKey: string }) {
  const { client, view } = useScreen(screenKey);
  const folder = (of: "clips" | "recordings") =>
    view.run && view.programme ? `/api/screens/${screenKey}/${of}/${view.run.id}/${view.programme.version}` : null;
  const sound = useSound(client, view.programme, folder("clips"));
  const recordings = useRecordings(view.programme, folder("recordings"), `screen ${screenKey}`, sound);
  const [corner, setCorner] = useState(false);
  useTick();
  useAwake();
  const { run, programme } = view;
  const now = client.clock.now();
  const position = run === null ? 0 : positionAt(run.state, now);
  // A session that ended long ago makes room for the next one.
  const overAt =
    run === null ? null : (run.state.endedMs ?? (stands(run.state, now) ? null : timeOf(run.state, run.lengthMs)));
  const isLongOver = overAt !== null && now > overAt + SHOW_END_MS;

  const showCorner = useCallback(() => setCorner((open) => !open), []);
  useWallKeys(client, sound, showCorner);

  if (view.revoked) {
    return (
      <main className="wall wall-dark">
        <p>
          <Trans>This address no longer works. Ask a coach for a new one.</Trans>
        </p>
      </main>
    );
  }
  const stopped = run !== null && stands(run.state, now);
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: every key does the same as a press, see above
    <main className="wall-page" onClick={sound.allow} onDoubleClick={showCorner}>
      {run !== null && programme !== null && !isLongOver ? (
        <RecordingsHere value={recordings}>
          <Playing run={run} programme={programme} position={position} stopped={stopped} client={client} />
        </RecordingsHere>
      ) : (
        <IdleWall client={client} view={view} screenKey={screenKey} />
      )}
      <div className="wall-notices">
        {sound.needsPress && (
          <button type="button" className="wall-sound" onClick={sound.allow}>
            <Trans>Tap to turn on sound</Trans>
          </button>
        )}
        {!corner && view.reach === "away" && run !== null && (
          <p className="wall-away">{isLongOver ? t`no server` : t`no server · continues`}</p>
        )}
      </div>
      {corner && <WallStatus client={client} view={view} sound={sound} onClose={() => setCorner(false)} />}
    </main>
  );
}

/** A small view of the walls for the coach. */
export function WallPreview({ client, view }: { client: ScreenClient; view: ScreenView }) {
  useTick(5);
  if (view.run === null || view.programme === null) {
    return null;
  }
  const now = client.clock.now();
  const { state } = view.run;
  return (
    <div className="wall-page wall-small">
      <Playing
        run={view.run}
        programme={view.programme}
        position={positionAt(state, now)}
        stopped={stands(state, now)}
        client={client}
      />
    </div>
  );
}

/** A session at a moment. */
function Playing({
  run,
  programme,
  position,
  stopped,
  client,
}: {
  run: ScreenRun;
  programme: Programme;
  position: number;
  stopped: boolean;
  client: ScreenClient;
}) {
  const moments = tracksOf(programme).map((track) => momentOf(programme, track, position));
  const first = moments[0] as TrackMoment;
  const since = useCallback((from: number) => () => (client.position() ?? from) - from, [client]);
  if (first.kind === "over" || run.state.endedMs !== null) {
    return (
      <div className="wall wall-over">
        <h1>
          <Trans>End</Trans>
        </h1>
        <p className="wall-large">{run.name}</p>
        <p className="wall-soft">
          <Trans>Well done.</Trans>
        </p>
      </div>
    );
  }
  // TrackViews that all do the same, or wait together, are shown as one.
  const together = moments.every(
    (moment) => (moment.segment?.track ?? null) === null && moment.next?.key === first.next?.key,
  );
  return together || moments.length === 1 ? (
    <SharedTrackView
      moment={first}
      run={run}
      programme={programme}
      stopped={stopped}
      stoppedMs={stoppedFor(run.state, client.clock.now())}
      since={since}
    />
  ) : (
    <TrackViews moments={moments} programme={programme} stopped={stopped} />
  );
}
