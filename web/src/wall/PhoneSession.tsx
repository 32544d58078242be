import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { ReactNode } from "react";
import type { Programme, Screen, Stance } from "../api/client";
import { FollowedRecording } from "./FollowedRecording";
import { MovingLine } from "./MovingLine";
import { momentOf, standingAt, type TrackMoment, tracksOf } from "./moment";
import { ReadingFields, type useReading } from "./ReadingFields";
import { timeLeft } from "./time";
import { stationWords } from "./words";
import "./wall.css";
import "./athlete.css";

interface Props {
  name: string;
  programme: Programme;
  /** Where it is, in ms. */
  position: number;
  /** Returns where it is; called for every frame. */
  now: () => number;
  paused: boolean;
  reading: ReturnType<typeof useReading>;
  numberings: Screen["numberings"];
  /** What can be pressed. */
  children?: ReactNode;
}

/** Returns the moment of the athlete's own track. */
export function momentOn(programme: Programme, track: number, position: number): TrackMoment {
  const tracks = tracksOf(programme);
  return momentOf(programme, tracks[Math.min(track, tracks.length - 1)] ?? null, position);
}

/** A session on one athlete's phone: the clock, what is thrown in their stance and numbering, and what to think of. */
export function PhoneSession({ name, programme, position, now, paused, reading, numberings, children }: Props) {
  const [read, keep] = reading;
  const moment = momentOn(programme, read.track, position);
  const standing = standingAt(moment, programme);
  const from = standing.cue?.atMs ?? 0;
  return (
    <main className={`athlete athlete-${moment.kind}`}>
      <header>
        <h1>{moment.title || name}</h1>
        <span>{paused ? t`paused` : STATES[moment.kind]}</span>
      </header>
      <p className="athlete-clock">{timeLeft(moment.leftMs)}</p>
      {children}
      <Shown {...{ standing, programme, paused }} stance={read.stance} since={() => now() - from} />
      {moment.segment && stationWords(moment.segment.station) && (
        <p className="athlete-words">{stationWords(moment.segment.station)}</p>
      )}
      {moment.segment?.note && <p className="athlete-words">{moment.segment.note}</p>}
      <ul>
        {moment.reminders.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <ReadingFields
        reading={read}
        onKeep={keep}
        numberings={numberings}
        tracks={tracksOf(programme).length > 1 ? programme.tracks : []}
      />
    </main>
  );
}

const STATES: Record<TrackMoment["kind"], string> = {
  work: t`work`,
  listen: t`listen`,
  rest: t`rest`,
  changeover: t`changeover`,
  before: t`starts soon`,
  over: t`over`,
};

interface ShownProps {
  standing: ReturnType<typeof standingAt>;
  programme: Programme;
  stance: Stance;
  paused: boolean;
  /** Returns how long the chain has been shown, in ms. */
  since: () => number;
}

/** The chain, or the cue that replaces it. */
function Shown({ standing, programme, stance, paused, since }: ShownProps) {
  const { comes, cue, chain, slowly, thrownIn, isOther } = standing;
  const thrown = thrownIn[stance];
  return chain ? (
    <>
      <p className="athlete-numbers">
        {comes && (
          <small>
            <Trans>next</Trans>{" "}
          </small>
        )}
        {cue?.before && <small>{cue.before} </small>}
        {chain.numbers[thrown]}
        {cue?.after && <small>, {cue.after}</small>}
      </p>
      <p className="athlete-words">{chain.words[thrown].join(", ")}</p>
      {isOther && (
        <p className="athlete-words">
          <Trans>in your other stance</Trans>
        </p>
      )}
      {cue && cue.beside.length > 0 && (
        <ul className="athlete-choices">
          {cue.beside.map(({ label, chain: of }) => (
            <li key={`${label} ${of}`}>
              {label && <small>{label} </small>}
              {programme.chains[of]?.numbers[thrown]}
            </li>
          ))}
        </ul>
      )}
      {chain.holder && (
        <details className="athlete-holder">
          <summary>
            <Trans>For who holds the pads</Trans>
          </summary>
          {chain.holder[thrown].join(" · ")}
        </details>
      )}
      <FollowedRecording standing={standing} since={since} stopped={paused} />
      <div className="athlete-line">
        <MovingLine chain={chain} slowly={slowly} again since={since} />
      </div>
    </>
  ) : (
    <p className="athlete-numbers">{cue?.short}</p>
  );
}
