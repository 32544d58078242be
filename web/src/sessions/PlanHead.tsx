import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Input, Select } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { bounds } from "../api/bounds";
import type { Plan, SessionDocument } from "../api/client";
import { useCourses } from "../api/useCourses";
import SessionLinkDialog from "../cards/SessionLinkDialog";
import { StartDialog } from "../run/StartDialog";
import { DayField } from "../ui/DayField";
import { Dialog } from "../ui/Dialog";
import { useNotice } from "../ui/useNotice";
import { GenerateSession } from "./GenerateSession";
import { PlanActions, type PlanDialog } from "./PlanActions";
import { PlanNotices } from "./PlanNotices";
import type { Reasons } from "./PlannerScreen";
import { PlanSettings } from "./PlanSettings";
import type { Planner } from "./usePlanner";
import { useArchivePlan } from "./usePlans";
import { Versions } from "./Versions";

interface Props {
  plan: Plan;
  planner: Planner;
  document: SessionDocument | null;
  onReasons: (why: Reasons) => void;
}

/** The head of the planner: name, time, course, actions, and the state of saving. */
export function PlanHead({ plan, planner, document, onReasons }: Props) {
  const { draft, change } = planner;
  const courses = useCourses().data ?? [];
  const shelving = useArchivePlan();
  const notice = useNotice();
  const [open, setOpen] = useState<PlanDialog | null>(null);
  const put = (values: Partial<typeof draft>, typed = false) => change((now) => ({ ...now, ...values }), typed);
  const inside = (node: HTMLElement) => node.closest("main") ?? node;
  /** Archives or restores the session. */
  const shelve = async () => {
    try {
      const stored = await shelving.mutateAsync({ id: plan.id, version: planner.version, archived: plan.archived });
      planner.continueFrom(stored.version);
    } catch (error) {
      notice.failed(error);
    }
  };
  return (
    <header className="plan-head">
      <Link
        to={draft.startsAt ? `/sessions?day=${draft.startsAt.slice(0, 10)}` : "/sessions"}
        className="back"
        aria-label={t`To the sessions`}
      >
        ‹
      </Link>
      <Input
        className="plan-name"
        variant="borderless"
        value={draft.name}
        {...bounds("PlanRequest", "name")}
        aria-label={t`Name of the session`}
        status={draft.name.trim() === "" ? "error" : undefined}
        onChange={(event) => put({ name: event.target.value }, true)}
      />
      {draft.isTemplate ? (
        <span className="tag">
          <Trans>template</Trans>
        </span>
      ) : (
        <DayField
          withTime
          className="plan-when"
          aria-label={t`Day and time`}
          placeholder={t`no day yet`}
          value={draft.startsAt}
          onChange={(startsAt) => put({ startsAt })}
        />
      )}
      <Select
        className="plan-course"
        value={draft.course ?? 0}
        aria-label={t`Course`}
        options={[
          { value: 0, label: t`no course` },
          ...courses
            .filter((one) => !one.archived || one.id === draft.course)
            .map((one) => ({ value: one.id, label: one.name })),
        ]}
        onChange={(course: number) => put({ course: course === 0 ? null : course })}
        popupMatchSelectWidth={false}
        getPopupContainer={inside}
      />
      <PlanActions plan={plan} planner={planner} onOpen={setOpen} onShelve={shelve} />
      <PlanNotices plan={plan} planner={planner} isShelving={shelving.isPending} onShelve={shelve} />
      <PlanDialogs {...{ plan, planner, document, open, onReasons }} onClose={() => setOpen(null)} />
    </header>
  );
}

interface DialogProps extends Props {
  open: PlanDialog | null;
  onClose: () => void;
}

function PlanDialogs({ plan, planner, document, open, onReasons, onClose }: DialogProps) {
  return (
    <>
      {open === "press" && <GenerateSession planner={planner} onClose={onClose} onReasons={onReasons} />}
      {open === "run" && <StartDialog plan={plan} onClose={onClose} />}
      {open === "link" && <SessionLinkDialog name={plan.name} of={{ plan: plan.id }} onClose={onClose} />}
      {open === "versions" && <Versions plan={plan} planner={planner} onClose={onClose} />}
      <Dialog open={open === "settings"} onClose={onClose} title={t`Rules, medium, tracks`}>
        <PlanSettings planner={planner} document={document} />
      </Dialog>
    </>
  );
}
