import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useState } from "react";
import type { Idle } from "../api/schema";
import { MovingLine } from "./MovingLine";
import { numbersOf } from "./moment";
import type { ScreenClient, ScreenView } from "./screenClient";
import { sizeOf } from "./words";

/** Interval in ms between two questions for what is planned. */
const ASK_MS = 60_000;
/** Time in ms after its start from which a session that was not begun is late. */
const LATE_MS = 2 * 60_000;
const MAX_SESSIONS = 4;

/** A wall without a session: the time, today's sessions and the combination of the week. */
export function IdleWall({ client, view, screenKey }: { client: ScreenClient; view: ScreenView; screenKey: string }) {
  const idle = useIdle(screenKey, view.screen !== null);
  const now = client.clock.now();
  const clock = timeIn(idle?.timeZone);
  const coming = (idle?.sessions ?? []).filter(({ endsMs }) => endsMs > now).slice(0, MAX_SESSIONS);
  const late = coming.filter((one) => !one.hasBegun && one.startsMs + LATE_MS < now);
  const week = idle?.week ?? null;
  return (
    <div className="wall wall-idle">
      <header className="wall-head">
        <span className="wall-title">{view.screen?.gym ?? t`Periplus`}</span>
      </header>
      <div className="wall-idle-now">
        <span className="wall-clock">{view.screen === null ? "" : clock(now)}</span>
        <p className="wall-soft">
          {view.screen === null
            ? t`No connection to the gym’s server yet`
            : t`${view.screen.name}: no session runs on this wall`}
        </p>
      </div>
      <section className="wall-today" aria-label={t`Today`}>
        {late.map((one) => (
          <p key={`${one.startsMs} ${one.name}`} className="wall-late">
            <Trans>
              {one.name} should have begun at {clock(one.startsMs)}
            </Trans>
          </p>
        ))}
        {coming
          .filter((one) => !late.includes(one))
          .map((one) => (
            <p key={`${one.startsMs} ${one.name}`}>
              <b>{clock(one.startsMs)}</b> {one.name}
            </p>
          ))}
        {idle && coming.length === 0 && (
          <p className="wall-soft">
            <Trans>No session is planned for the rest of today</Trans>
          </p>
        )}
      </section>
      {week && (
        <section className="wall-week" aria-label={t`The combination of the week`}>
          <p className="wall-soft">
            <Trans>The combination of the week</Trans> · {week.name}
          </p>
          <p className={`wall-numbers wall-numbers-${sizeOf(numbersOf(week.chain))}`}>{numbersOf(week.chain)}</p>
          <dl className="wall-words">
            <div>
              <dt>
                <Trans>orthodox</Trans>
              </dt>
              <dd>{week.chain.words.orthodox.join(", ")}</dd>
            </div>
            <div>
              <dt>
                <Trans>southpaw</Trans>
              </dt>
              <dd>{week.chain.words.southpaw.join(", ")}</dd>
            </div>
          </dl>
          <MovingLine chain={week.chain} slowly again since={() => client.clock.now() % (24 * 3600_000)} />
        </section>
      )}
    </div>
  );
}

/** What the wall shows, asked for again every minute; what was answered on another day is not shown. */
function useIdle(key: string, isReached: boolean): Idle | null {
  const [answer, setAnswer] = useState<{ idle: Idle; day: string } | null>(null);
  useEffect(() => {
    if (!isReached) {
      return;
    }
    const ask = async () => {
      try {
        const response = await fetch(`/api/screens/${key}/idle`);
        if (response.ok) {
          setAnswer({ idle: (await response.json()) as Idle, day: new Date().toDateString() });
        }
      } catch {
        // It is asked again in a minute.
      }
    };
    void ask();
    const timer = setInterval(() => void ask(), ASK_MS);
    return () => clearInterval(timer);
  }, [key, isReached]);
  return answer !== null && answer.day === new Date().toDateString() ? answer.idle : null;
}

/** Returns a function that writes a server time as the time of day in the gym. */
function timeIn(timeZone: string | undefined): (ms: number) => string {
  const format = new Intl.DateTimeFormat(undefined, {
    hour: "2-digit",
    minute: "2-digit",
    hourCycle: "h23",
    timeZone,
  });
  return (ms) => format.format(new Date(ms));
}
