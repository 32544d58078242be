import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Programme, ScreenRun } from "../api/client";
import { QrCode } from "../ui/QrCode";
import { labelOf, PURPOSES } from "../ui/words";
import { MovingLine } from "./MovingLine";
import { numbersOf, standingAt, type TrackMoment } from "./moment";
import { Picture } from "./Picture";
import { timeLeft } from "./time";
import { sizeOf, stateWord } from "./words";

/** The wall while everybody does the same. */
export function SharedTrackView({
  moment,
  run,
  programme,
  stopped,
  since,
}: {
  moment: TrackMoment;
  run: ScreenRun;
  programme: Programme;
  stopped: boolean;
  /** Returns the ms of the programme since a moment; called for every frame. */
  since: (from: number) => () => number;
}) {
  const standing = standingAt(moment, programme);
  const { resting, cue, chain, slowly } = standing;
  const called = cue?.kind === "call" || cue?.kind === "last-call";
  const hasSets = moment.kind === "work" && moment.setLeftMs < moment.leftMs - 900;
  const start = cue?.atMs ?? 0;
  // Without anything else to show, the time takes all the space.
  const onlyTime = chain === null && (cue === null || cue.short === "free");
  const { purpose, title } = moment.segment ?? {};
  const below = [purpose ? labelOf(PURPOSES, purpose) : "", title ?? ""].filter(Boolean).join(" · ");
  return (
    <div
      className={`wall wall-${moment.kind} ${moment.lastTen ? "is-last" : ""} ${stopped ? "is-stopped" : ""} ${onlyTime ? "is-time" : ""}`}
    >
      <header className="wall-head">
        <span className="wall-title">
          {moment.title}
          {below && moment.kind === "work" && <small>{below}</small>}
        </span>
        <strong className="wall-state">{stateWord(moment, stopped)}</strong>
      </header>
      <div className="wall-time" role="timer" aria-label={t`Time left`}>
        <span className="wall-clock">{timeLeft(moment.leftMs)}</span>
        {hasSets && (
          <span className="wall-set">
            <Trans>set {timeLeft(moment.setLeftMs)}</Trans>
          </span>
        )}
      </div>
      {onlyTime || <What standing={standing} title={moment.title} />}
      <section className="wall-picture">
        {!resting && <Picture moment={moment} programme={programme} />}
        {chain && <MovingLine chain={chain} slowly={slowly} again={!called} since={since(start)} />}
      </section>
      <Foot moment={moment} run={run} resting={resting} start={start} />
      <progress className="wall-bar" max={1} value={moment.part} aria-label={t`Elapsed`} />
    </div>
  );
}

/** What is thrown, or what comes after the rest. */
function What({ standing, title }: { standing: ReturnType<typeof standingAt>; title: string }) {
  const { resting, cue, chain, thrownIn, isOther } = standing;
  const numbers = chain && numbersOf(chain);
  return (
    <section className="wall-what" aria-label={resting ? t`What comes` : t`Choose`}>
      {resting && (
        <p className="wall-next-word">
          <Trans>Next</Trans>
        </p>
      )}
      {cue?.before && (
        <p className="wall-beside">
          <Trans>{cue.before}, then</Trans>
        </p>
      )}
      {chain && numbers ? (
        <>
          <p className={`wall-numbers wall-numbers-${sizeOf(numbers)}`}>{numbers}</p>
          {cue?.after && <p className="wall-beside">{cue.after}</p>}
          {isOther && (
            <p className="wall-other">
              <Trans>in the other stance</Trans>
            </p>
          )}
          <dl className="wall-words">
            <div>
              <dt>
                <Trans>orthodox</Trans>
              </dt>
              <dd>{chain.words[thrownIn.orthodox].join(", ")}</dd>
            </div>
            <div>
              <dt>
                <Trans>southpaw</Trans>
              </dt>
              <dd>{chain.words[thrownIn.southpaw].join(", ")}</dd>
            </div>
          </dl>
        </>
      ) : (
        <p className={`wall-numbers wall-numbers-${cue?.kind === "count" ? "short" : "words"}`}>
          {cue?.short ?? title}
        </p>
      )}
    </section>
  );
}

interface FootProps {
  moment: TrackMoment;
  run: ScreenRun;
  resting: boolean;
  /** When the shown cue began, in ms of the programme. */
  start: number;
}

/** What is announced next, or a reminder; in a rest the code for phones. */
function Foot({ moment, run, resting, start }: FootProps) {
  return (
    <footer className="wall-foot">
      {moment.kind === "work" && moment.next && moment.next.atMs > start ? (
        <p className="wall-announced">{moment.next.text}</p>
      ) : (
        <p className="wall-reminder">{moment.reminders[0] ?? moment.segment?.note ?? ""}</p>
      )}
      {resting && run.state.speed === 1 && (
        <div className="wall-follow">
          <QrCode address={`${window.location.origin}/follow/${run.followKey}`} label={t`Follow on a phone`} />
        </div>
      )}
    </footer>
  );
}
