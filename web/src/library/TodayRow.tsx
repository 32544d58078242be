import { plural, t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { server } from "../api/client";
import { may, useSession } from "../api/session";

const KEPT = "periplus.today.hidden";

/** What a coach looks at first: today's sessions, what is due, what waits for review, what was not logged. */
export default function TodayRow() {
  const { data } = server.useQuery("get", "/api/today");
  const user = useSession().data?.user;
  const [hiddenOn, setHiddenOn] = useState(() => localStorage.getItem(KEPT));
  if (!data || hiddenOn === data.day) {
    return null;
  }
  const decides = may(user, "DECIDE_PROPOSALS");
  const [unlogged] = data.unlogged;
  const isEmpty =
    data.sessions.length + data.due.length + data.unlogged.length + data.returned + data.verdictChanges === 0 &&
    !(decides && data.proposals > 0);
  if (isEmpty) {
    return null;
  }
  return (
    <Flex
      component="section"
      wrap
      align="center"
      gap="var(--space-2) var(--space-7)"
      className="panel today-row"
      aria-label={t`Today`}
    >
      <b>
        <Trans>Today</Trans>
      </b>
      {data.sessions.map((plan) => (
        <Link key={plan.id} to={`/sessions/${plan.id}`}>
          {plan.startsAt?.slice(11, 16)} {plan.name}
        </Link>
      ))}
      {data.due.map((one) => (
        <Link key={one.course} to={`/reports/due?course=${one.course}`}>
          {t`${plural(one.combinations, { one: "# combination is due", other: "# combinations are due" })} in ${one.name}`}
        </Link>
      ))}
      {decides && data.proposals > 0 && (
        <Link to="/review">
          <Plural value={data.proposals} one="# proposal to review" other="# proposals to review" />
        </Link>
      )}
      {data.returned > 0 && (
        <Link to="/review">
          <Plural
            value={data.returned}
            one="# proposal was sent back to you"
            other="# proposals were sent back to you"
          />
        </Link>
      )}
      {data.verdictChanges > 0 && (
        <Link to="/verdict-changes">
          <Plural
            value={data.verdictChanges}
            one="# verdict has changed with the update"
            other="# verdicts have changed with the update"
          />
        </Link>
      )}
      {unlogged && (
        <Link to={data.unlogged.length === 1 ? `/logbook/new?plan=${unlogged.id}` : "/logbook"}>
          {data.unlogged.length === 1
            ? t`Log “${unlogged.name}”`
            : t`${plural(data.unlogged.length, { one: "# session", other: "# sessions" })} not logged`}
        </Link>
      )}
      <button
        type="button"
        className="quiet today-close"
        aria-label={t`Hide until tomorrow`}
        title={t`Hide until tomorrow`}
        onClick={() => {
          localStorage.setItem(KEPT, data.day);
          setHiddenOn(data.day);
        }}
      >
        ✕
      </button>
    </Flex>
  );
}
