import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { Stance } from "../api/client";
import { MovingLine } from "./MovingLine";
import { momentOf, standingAt, tracksOf } from "./moment";
import { positionAt, stands } from "./state";
import { timeLeft } from "./time";
import { useScreen, useTick } from "./useScreen";
import "./wall.css";
import "./athlete.css";

/** The session on an athlete's phone: in their own stance and numbering, without controls. */
export function AthleteScreen({ screenKey }: { screenKey: string }) {
  const [stance, setStance] = useState<Stance>(() =>
    localStorage.getItem("stance") === "southpaw" ? "southpaw" : "orthodox",
  );
  const [numbering, setNumbering] = useState<string | null>(() => localStorage.getItem("numbering"));
  const [track, setTrack] = useState(() => Number(localStorage.getItem("track") ?? 0));
  const { client, view } = useScreen(screenKey, numbering);
  useTick();
  const { run, programme, screen } = view;
  const keep = (name: string, value: string) => localStorage.setItem(name, value);
  if (view.revoked || run === null || programme === null) {
    return (
      <main className="athlete">
        <h1>{screen?.gym ?? t`Periplus`}</h1>
        <p>
          {view.revoked
            ? t`This session no longer exists. Scan the code on the wall again.`
            : t`Waiting for the gym’s server …`}
        </p>
      </main>
    );
  }
  const now = client.clock.now();
  const position = positionAt(run.state, now);
  const tracks = tracksOf(programme);
  const mine = tracks[Math.min(track, tracks.length - 1)] ?? null;
  const moment = momentOf(programme, mine, position);
  const { resting, cue, chain, slowly, thrownIn, isOther } = standingAt(moment, programme);
  const thrown = thrownIn[stance];
  const from = cue?.atMs ?? 0;
  if (run.state.endedMs !== null || moment.kind === "over") {
    return (
      <main className="athlete">
        <h1>{run.name}</h1>
        <p>
          <Trans>The session is over. Well done.</Trans>
        </p>
        <p>
          <Trans>For the next one scan the code on the wall again.</Trans>
        </p>
      </main>
    );
  }
  return (
    <main className={`athlete athlete-${moment.kind}`}>
      <header>
        <h1>{moment.title || run.name}</h1>
        <span>{stands(run.state, now) ? t`paused` : moment.kind === "work" ? t`work` : moment.kind}</span>
      </header>
      <p className="athlete-clock">{timeLeft(moment.leftMs)}</p>
      {chain ? (
        <>
          <p className="athlete-numbers">
            {resting && (
              <small>
                <Trans>next</Trans>{" "}
              </small>
            )}
            {cue?.before && (
              <small>
                <Trans>{cue.before}, then</Trans>{" "}
              </small>
            )}
            {chain.numbers[thrown]}
            {cue?.after && <small>, {cue.after}</small>}
          </p>
          <p className="athlete-words">{chain.words[thrown].join(", ")}</p>
          {isOther && (
            <p className="athlete-words">
              <Trans>in your other stance</Trans>
            </p>
          )}
          <div className="athlete-line">
            <MovingLine chain={chain} slowly={slowly} again since={() => (client.position() ?? from) - from} />
          </div>
        </>
      ) : (
        <p className="athlete-numbers">{cue?.short}</p>
      )}
      <ul>
        {moment.reminders.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <fieldset>
        <legend>
          <Trans>How you read it</Trans>
        </legend>
        <label>
          <Trans>Stance</Trans>
          <select
            value={stance}
            onChange={(event) => {
              keep("stance", event.target.value);
              setStance(event.target.value as Stance);
            }}
          >
            <option value="orthodox">{t`orthodox`}</option>
            <option value="southpaw">{t`southpaw`}</option>
          </select>
        </label>
        <label>
          <Trans>Numbers</Trans>
          <select
            value={numbering ?? ""}
            onChange={(event) => {
              keep("numbering", event.target.value);
              setNumbering(event.target.value || null);
            }}
          >
            <option value="">{t`as in the session`}</option>
            {screen?.numberings.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </select>
        </label>
        {tracks.length > 1 && (
          <label>
            <Trans>Group</Trans>
            <select
              value={track}
              onChange={(event) => {
                keep("track", event.target.value);
                setTrack(Number(event.target.value));
              }}
            >
              {programme.tracks.map((one, at) => (
                <option key={one.name} value={at}>
                  {one.name}
                </option>
              ))}
            </select>
          </label>
        )}
      </fieldset>
    </main>
  );
}
