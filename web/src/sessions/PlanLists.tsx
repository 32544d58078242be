import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import type { ReactNode } from "react";
import { Link } from "react-router";
import type { PlanRow } from "../api/client";
import type { PlanContent } from "../api/schema";
import { PlanImport } from "./PlanImport";

interface Props {
  templates: PlanRow[] | undefined;
  undated: PlanRow[];
  course: number | undefined;
  making: string | null;
  onTemplate: (template: PlanRow) => unknown;
  onFile: (name: string, content: PlanContent) => unknown;
}

/** The templates, the sessions without a day, and the calendar file. */
export function PlanLists({ templates, undated, course, making, onTemplate, onFile }: Props) {
  return (
    <section className="panel block" aria-label={t`Templates`}>
      <h2>
        <Trans>Templates</Trans>
      </h2>
      {templates?.length === 0 && (
        <p className="small">
          <Trans>None yet. Open a session and keep it as a template from its menu.</Trans>
        </p>
      )}
      <PlanRows
        plans={templates ?? []}
        action={(template) => (
          <Button size="small" loading={making === `template ${template.id}`} onClick={() => onTemplate(template)}>
            <Trans>Plan one</Trans>
          </Button>
        )}
      />
      {undated.length > 0 && (
        <>
          <h2>
            <Trans>Without a day</Trans>
          </h2>
          <PlanRows plans={undated} />
        </>
      )}
      <h2>
        <Trans>Export and import</Trans>
      </h2>
      <p className="small">
        <Trans>
          <a href={course ? `/api/calendar.ics?course=${course}` : "/api/calendar.ics"}>Calendar file</a> with{" "}
          {course ? t`the sessions of this course` : t`all sessions`}; import it again to update changed sessions.
        </Trans>
      </p>
      <PlanImport onContent={onFile} />
    </section>
  );
}

function PlanRows({ plans, action }: { plans: PlanRow[]; action?: (plan: PlanRow) => ReactNode }) {
  return (
    <ul className="plan-rows">
      {plans.map((plan) => (
        <li key={plan.id}>
          <Link to={`/sessions/${plan.id}`}>{plan.name}</Link>
          <span className="small">
            <Trans>{Math.round(plan.lengthMs / 60_000)} min</Trans>
          </span>
          {action?.(plan)}
        </li>
      ))}
    </ul>
  );
}
