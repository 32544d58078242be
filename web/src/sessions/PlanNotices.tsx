import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { Plan } from "../api/client";
import { useNotice } from "../ui/useNotice";
import type { Planner, Saving } from "./usePlanner";

const SAVING: Record<Saving, string> = {
  saved: t`saved`,
  waiting: t`not saved yet …`,
  saving: t`saving …`,
  failed: t`not saved; trying again`,
  changed: t`changed by another coach`,
};

interface Props {
  plan: Plan;
  planner: Planner;
  isShelving: boolean;
  onShelve: () => unknown;
}

/** Says whether the session is saved, who else has it open, and what to do when both have changed it. */
export function PlanNotices({ plan, planner, isShelving, onShelve }: Props) {
  const notice = useNotice();
  return (
    <>
      <span className={`saving saving-${planner.saving}`} role="status">
        {SAVING[planner.saving]}
        {planner.saving === "failed" && planner.trouble && `: ${planner.trouble}`}
      </span>
      {planner.others.length > 0 && (
        <span className="others" role="status">
          <Trans>
            {planner.others.join(", ")} <Plural value={planner.others.length} one="has" other="have" /> this session
            open, too.
          </Trans>
        </span>
      )}
      {plan.archived && (
        <p className="conflict" role="status">
          <Trans>
            This session is archived: it is no longer in the calendar, and subscribed calendars show it as cancelled.
          </Trans>
          <Button size="small" loading={isShelving} onClick={onShelve}>
            <Trans>Restore it</Trans>
          </Button>
        </p>
      )}
      {planner.saving === "changed" && (
        <p className="conflict" role="alert">
          <Trans>{planner.trouble} What you wrote is still here.</Trans>
          <Button size="small" onClick={() => void planner.takeTheirs().catch(notice.failed)}>
            <Trans>Take theirs; undo brings mine back</Trans>
          </Button>
          <Button size="small" onClick={() => void planner.keepMine().catch(notice.failed)}>
            <Trans>Keep mine; theirs stays in the history</Trans>
          </Button>
        </p>
      )}
    </>
  );
}
