import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { Link } from "react-router";
import type { PlanRow } from "../api/client";
import { longDay, shortDay } from "./time";

interface Props {
  weeks: string[][];
  today: string;
  /** Days of other months are pale; null when one week is shown. */
  month: string | null;
  plans: PlanRow[];
  old: boolean;
  onNew: (day: string) => void;
}

/** A calendar of days with their sessions. */
export function Calendar({ weeks, today, month, plans, old, onNew }: Props) {
  const empty = plans.length === 0;
  return (
    <section className={old ? "calendar is-old" : "calendar"} aria-label={t`Calendar`} aria-busy={old}>
      {weeks.map((days) => (
        <ol key={days[0]} className={month ? "calendar-week calendar-low" : "calendar-week"}>
          {days.map((day) => (
            <li
              key={day}
              className={[
                "calendar-day",
                day === today ? "is-today" : "",
                month && day.slice(0, 7) !== month ? "is-other" : "",
              ].join(" ")}
            >
              <Flex component="span" align="center" justify="space-between" className="calendar-date">
                <span title={longDay(day)}>{shortDay(day)}</span>
                <button
                  type="button"
                  className="calendar-add"
                  aria-label={t`Plan a session on ${longDay(day)}`}
                  onClick={() => onNew(day)}
                >
                  +
                </button>
              </Flex>
              {plans
                .filter((plan) => plan.startsAt?.startsWith(day))
                .map((plan) => (
                  <Link key={plan.id} to={`/sessions/${plan.id}`} className="calendar-plan">
                    <b>{plan.startsAt?.slice(11)}</b> <span>{plan.name}</span>
                    <small>
                      <Trans>{Math.round(plan.lengthMs / 60_000)} min</Trans>
                      {plan.problems > 0 && (
                        <em> · {plan.problems === 1 ? t`1 problem` : t`${plan.problems} problems`}</em>
                      )}
                    </small>
                  </Link>
                ))}
            </li>
          ))}
        </ol>
      ))}
      {empty && !old && (
        <p className="calendar-empty small">
          <Trans>Nothing is planned on these days. Press + on a day, or plan the next session of a course below.</Trans>
        </p>
      )}
    </section>
  );
}
