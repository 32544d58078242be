import { Trans } from "@lingui/react/macro";
import { Flex } from "antd";
import { Link } from "react-router";
import { useUnlogged } from "./useLogbook";

/** Offers planned sessions that are not logged yet: those of a day and course, or all of the last days. */
export function PlannedSessions({ day, course }: { day?: string; course?: number | null }) {
  const unlogged = useUnlogged().filter(
    (plan) =>
      (day === undefined || plan.startsAt?.slice(0, 10) === day) &&
      (course === undefined || course === null || plan.course?.id === course),
  );
  return unlogged.length === 0 ? null : (
    <ul className="panel planned-sessions">
      {unlogged.map((plan) => (
        <li key={plan.id}>
          <Flex wrap align="center" justify="space-between" gap="small">
            <span>
              <b>{plan.name}</b>{" "}
              <small>
                <Trans>planned for {plan.startsAt?.replace("T", ", ")}, not logged</Trans>
              </small>
            </span>
            <Link to={`/logbook/new?plan=${plan.id}`} className="ant-btn ant-btn-default log-as-planned">
              <Trans>Log as planned</Trans>
            </Link>
          </Flex>
        </li>
      ))}
    </ul>
  );
}
