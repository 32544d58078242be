import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Programme, ProgrammeChain, ScreenRun } from "../api/client";
import { QrCode } from "../ui/QrCode";
import { labelOf, PURPOSES } from "../ui/words";
import { FollowedRecording } from "./FollowedRecording";
import { MovingLine } from "./MovingLine";
import { numbersOf, type Standing, standingAt, type TrackMoment } from "./moment";
import { Picture } from "./Picture";
import { useRecordingOf } from "./recordings";
import { timeLeft } from "./time";
import { sizeOf, stateWord, stationWords } from "./words";

/** More characters than these take more than a line in large letters. */
const LONG = 24;

/** Up to so many choices are shown in large letters. */
const MAX_LARGE = 6;

/** Tells whether the chains beside it are a menu, and not forms of the same. */
const isMenuOf = (cue: Standing["cue"]) => cue?.beside.some(({ label }) => label === "") ?? false;

/** The wall while everybody does the same. */
export function SharedTrackView({
  moment,
  run,
  programme,
  stopped,
  stoppedMs,
  since,
}: {
  moment: TrackMoment;
  run: ScreenRun;
  programme: Programme;
  stopped: boolean;
  /** How long a coach has paused it, in ms; null while it runs. */
  stoppedMs: number | null;
  /** Returns the ms of the programme since a moment; called for every frame. */
  since: (from: number) => () => number;
}) {
  const standing = standingAt(moment, programme);
  const { resting, comes, cue, chain, slowly } = standing;
  const called = cue?.kind === "call" || cue?.kind === "last-call";
  const hasSets = moment.kind === "work" && moment.setLeftMs < moment.leftMs - 900;
  const start = cue?.atMs ?? 0;
  // The way in of a menu is no picture of what is thrown.
  const isMenu = isMenuOf(cue);
  // Without anything else to show, the time takes all the space.
  const onlyTime = chain === null && (cue === null || cue.short === "free");
  const { purpose, title, pace } = moment.segment ?? {};
  const hasVideo = useRecordingOf(standing)?.kind === "video";
  const isWork = moment.kind === "work";
  const below = [
    stationWords(moment.station),
    ...(isWork ? [purpose ? labelOf(PURPOSES, purpose) : "", title ?? "", pace ?? ""] : []),
  ]
    .filter(Boolean)
    .join(" · ");
  return (
    <div
      className={`wall wall-${moment.kind} ${moment.lastTen ? "is-last" : ""} ${stopped ? "is-stopped" : ""} ${onlyTime ? "is-time" : ""} ${hasVideo ? "has-video" : ""}`}
    >
      <header className="wall-head">
        <span className="wall-title">
          {moment.title}
          {below && <small>{below}</small>}
        </span>
        <strong className="wall-state">{stateWord(moment, stopped)}</strong>
      </header>
      <div className="wall-time" role="timer" aria-label={t`Time left`}>
        <span className="wall-clock">{timeLeft(moment.leftMs)}</span>
        {stoppedMs !== null && (
          <span className="wall-set">
            <Trans>paused for {timeLeft(stoppedMs)}</Trans>
          </span>
        )}
        {moment.counted !== null && <span className="wall-counted">{moment.counted}</span>}
        {hasSets && (
          <span className="wall-set">
            <Trans>set {timeLeft(moment.setLeftMs)}</Trans>
          </span>
        )}
      </div>
      <FollowedRecording standing={standing} since={since(start)} stopped={stopped} />
      {onlyTime || <What standing={standing} title={moment.title} programme={programme} />}
      <section className="wall-picture">
        {!comes && <Picture moment={moment} programme={programme} />}
        {isMenu && <Choices cue={cue} programme={programme} />}
        {chain && !isMenu && (
          <MovingLine
            {...{ chain, slowly }}
            again={!called}
            fromAbove={cue?.kind === "demonstration" && !hasVideo}
            since={since(start)}
          />
        )}
      </section>
      <Foot moment={moment} run={run} resting={resting} start={start} needs={programme.needs} />
      <progress className="wall-bar" max={1} value={moment.part} aria-label={t`Elapsed`} />
    </div>
  );
}

/** What is thrown, or what comes after the rest. */
function What({ standing, title, programme }: { standing: Standing; title: string; programme: Programme }) {
  const { comes, cue, chain, thrownIn, isOther } = standing;
  const numbers = chain && numbersOf(chain);
  // Names and a list of choices do not fit below each other.
  const hasChoices = (cue?.beside.length ?? 0) > 0;
  const isFull =
    hasChoices ||
    (cue?.after?.length ?? 0) > LONG ||
    (cue?.before?.length ?? 0) > LONG ||
    Boolean(cue?.before && cue.after);
  const isMenu = isMenuOf(cue);
  return (
    <section className={isFull ? "wall-what is-full" : "wall-what"} aria-label={comes ? t`What comes` : t`Choose`}>
      {comes && cue?.kind === "next" && (
        <p className="wall-next-word">
          <Trans>Next</Trans>
        </p>
      )}
      {cue?.before && <p className="wall-beside">{cue.before}</p>}
      {chain && numbers ? (
        <>
          <p className={`wall-numbers wall-numbers-${sizeOf(numbers)}`}>{numbers}</p>
          {cue?.after && <p className={`wall-beside wall-after-${sizeOf(cue.after)}`}>{cue.after}</p>}
          {isMenu || <Choices cue={cue} programme={programme} />}
          {isOther && (
            <p className="wall-other">
              <Trans>in the other stance</Trans>
            </p>
          )}
          {hasChoices || (
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
          )}
        </>
      ) : (
        <>
          <p
            className={`wall-numbers wall-numbers-${cue?.kind === "count" ? "short" : (cue?.short ?? title).length > LONG ? "text" : "words"}`}
          >
            {cue?.short ?? title}
          </p>
          {isMenu || <Choices cue={cue} programme={programme} />}
        </>
      )}
    </section>
  );
}

/** Other chains to choose from: those of a menu, an easier and a harder form. */
function Choices({ cue, programme }: { cue: Standing["cue"]; programme: Programme }) {
  const choices = cue?.beside ?? [];
  return choices.length === 0 ? null : (
    <ul className={choices.length > MAX_LARGE ? "wall-choices wall-choices-many" : "wall-choices"}>
      {choices.map(({ label, chain }) => (
        <li key={`${label} ${chain}`}>
          {label && <small>{label}</small>}
          {numbersOf(programme.chains[chain] as ProgrammeChain)}
        </li>
      ))}
    </ul>
  );
}

interface FootProps {
  moment: TrackMoment;
  run: ScreenRun;
  resting: boolean;
  /** When the shown cue began, in ms of the programme. */
  start: number;
  /** What the class needs. */
  needs: string[];
}

/** What is announced next, or a reminder; in a rest the code for phones. */
function Foot({ moment, run, resting, start, needs }: FootProps) {
  const needed = moment.kind === "before" && needs.length > 0 ? t`Needed: ${needs.join(", ")}` : "";
  return (
    <footer className="wall-foot">
      {moment.next && (moment.kind === "work" || moment.shown) && (moment.next.atMs > start || resting) ? (
        <p className="wall-announced">{moment.next.text}</p>
      ) : (
        <p className="wall-reminder">{needed || moment.hint}</p>
      )}
      {resting && run.state.speed === 1 && (
        <div className="wall-follow">
          <QrCode address={`${window.location.origin}/follow/${run.followKey}`} label={t`Follow on a phone`} />
        </div>
      )}
    </footer>
  );
}
