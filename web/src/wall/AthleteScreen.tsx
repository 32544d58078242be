import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Programme, Stance } from "../api/client";
import { MovingLine } from "./MovingLine";
import { momentOf, standingAt, type TrackMoment, tracksOf } from "./moment";
import { ReadingFields, useReading } from "./ReadingFields";
import { positionAt, stands } from "./state";
import { timeLeft } from "./time";
import { useScreen, useTick } from "./useScreen";
import { stationWords } from "./words";
import "./wall.css";
import "./athlete.css";

/** The session on an athlete's phone: in their own stance and numbering, without controls. */
export function AthleteScreen({ screenKey }: { screenKey: string }) {
  const [reading, keep] = useReading();
  const { client, view } = useScreen(screenKey, reading.numbering);
  useTick();
  const { run, programme, screen } = view;
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
  const mine = tracks[Math.min(reading.track, tracks.length - 1)] ?? null;
  const moment = momentOf(programme, mine, position);
  const standing = standingAt(moment, programme);
  const from = standing.cue?.atMs ?? 0;
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
        <span>{stands(run.state, now) ? t`paused` : STATES[moment.kind]}</span>
      </header>
      <p className="athlete-clock">{timeLeft(moment.leftMs)}</p>
      <Shown
        standing={standing}
        programme={programme}
        stance={reading.stance}
        since={() => (client.position() ?? from) - from}
      />
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
        reading={reading}
        onKeep={keep}
        numberings={screen?.numberings ?? []}
        tracks={tracks.length > 1 ? programme.tracks : []}
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
  /** Returns how long the chain has been shown, in ms. */
  since: () => number;
}

/** The chain, or the cue that replaces it. */
function Shown({ standing, programme, stance, since }: ShownProps) {
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
      <div className="athlete-line">
        <MovingLine chain={chain} slowly={slowly} again since={since} />
      </div>
    </>
  ) : (
    <p className="athlete-numbers">{cue?.short}</p>
  );
}
