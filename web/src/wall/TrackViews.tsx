import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Programme, Stance } from "../api/client";
import { numbersOf, standingAt, type TrackMoment } from "./moment";
import { timeLeft } from "./time";
import { sizeOf, stateWord } from "./words";

/** Time in ms for which each stance is shown in turn. */
const TURN_MS = 5000;

/** Up to so many tracks have room for the words of both stances. */
const MAX_ROOMY = 2;

/** More tracks than these are shown in two columns. */
const MAX_ONE_BELOW_THE_OTHER = 3;

/** The wall while each track does its own work: a line and a light for each. */
export function TrackViews({
  moments,
  programme,
  stopped,
}: {
  moments: TrackMoment[];
  programme: Programme;
  stopped: boolean;
}) {
  const many = moments.length > MAX_ONE_BELOW_THE_OTHER ? "wall-tracks-many" : "";
  return (
    <div className={`wall wall-tracks ${many} ${stopped ? "is-stopped" : ""}`}>
      <header className="wall-head">
        <span className="wall-title">{moments[0]?.title}</span>
        <strong className="wall-state">{stopped ? t`Paused` : ""}</strong>
      </header>
      {moments.map((moment) => (
        <Track key={moment.track} moment={moment} programme={programme} roomy={moments.length <= MAX_ROOMY} />
      ))}
    </div>
  );
}

function Track({ moment, programme, roomy }: { moment: TrackMoment; programme: Programme; roomy: boolean }) {
  const { comes, cue, chain, thrownIn } = standingAt(moment, programme);
  // Where there is no room for both stances, they are shown in turn.
  const turn: Stance[] = roomy
    ? ["orthodox", "southpaw"]
    : [Math.floor(moment.leftMs / TURN_MS) % 2 === 0 ? "orthodox" : "southpaw"];
  return (
    <section className={`wall-track is-${moment.kind} ${moment.lastTen ? "is-last" : ""}`} aria-label={moment.name}>
      <span className="wall-light" aria-hidden="true" />
      <span className="wall-who">
        <b>{moment.name}</b>
        <em>{stateWord(moment, false)}</em>
      </span>
      <span className="wall-track-time">{timeLeft(moment.leftMs)}</span>
      <span className="wall-track-what">
        <b className={`wall-track-numbers wall-track-${sizeOf(chain ? numbersOf(chain) : "")}`}>
          {comes && cue && (
            <small>
              <Trans>next</Trans>{" "}
            </small>
          )}
          {cue?.before && <small>{cue.before} </small>}
          {chain ? numbersOf(chain) : cue?.short}
          {cue?.after && <small>, {cue.after}</small>}
        </b>
        {chain &&
          turn.map((stance) => (
            <i key={stance}>
              {stance === "orthodox" ? t`orthodox` : t`southpaw`}: {chain.words[thrownIn[stance]].join(", ")}
            </i>
          ))}
      </span>
      <progress className="wall-bar" max={1} value={moment.part} aria-label={t`Elapsed for ${moment.name}`} />
    </section>
  );
}
