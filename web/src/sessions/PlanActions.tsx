import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Dropdown } from "antd";
import { useNavigate } from "react-router";
import type { Plan } from "../api/client";
import { ExportMenu } from "../ui/ExportMenu";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import type { Planner } from "./usePlanner";
import { useCreatePlan } from "./usePlans";

export type PlanDialog = "press" | "versions" | "settings" | "run" | "link";

interface Props {
  plan: Plan;
  planner: Planner;
  onOpen: (dialog: PlanDialog) => void;
  onShelve: () => unknown;
}

/** What can be done with the session. */
export function PlanActions({ plan, planner, onOpen, onShelve }: Props) {
  const { draft } = planner;
  const files = (path: string) => (planner.saving === "saved" ? `/api/plans/${plan.id}/${path}` : null);
  return (
    <span className="plan-ways">
      <Button onClick={planner.undo} disabled={!planner.canUndo} aria-label={t`Undo`} title={t`Undo, Ctrl Z`}>
        ↶
      </Button>
      <Button onClick={planner.redo} disabled={!planner.canRedo} aria-label={t`Redo`} title={t`Redo, Ctrl Shift Z`}>
        ↷
      </Button>
      <Button onClick={() => onOpen("press")}>
        <Trans>Generate</Trans>
      </Button>
      <Button
        type="primary"
        disabled={planner.saving !== "saved" || draft.isTemplate}
        title={draft.isTemplate ? t`A template is copied first` : t`Start it on the walls`}
        onClick={() => onOpen("run")}
      >
        <Trans>Run</Trans>
      </Button>
      <ExportMenu
        items={[
          {
            label: files("") === null ? t`Sheet for the coach: when it is saved` : t`Sheet for the coach, PDF`,
            to: files("sheet.pdf"),
          },
          { label: t`Sheet for the door, PDF`, to: files("door.pdf") },
          { label: t`Sheet for the door with words, PDF`, to: files("door.pdf?words=true") },
          { label: t`Cues, WebVTT`, to: files("cues.vtt") },
          { label: t`The plan, JSON`, to: files("plan.json") },
        ]}
      />
      <MoreMenu plan={plan} draft={draft} onOpen={onOpen} onShelve={onShelve} />
    </span>
  );
}

/** Tells whether the session has a day that has come. */
function canBeLogged(draft: Planner["draft"]): boolean {
  return !draft.isTemplate && draft.startsAt !== null && draft.startsAt.slice(0, 10) <= todayInGym();
}

interface MoreProps extends Pick<Props, "plan" | "onOpen" | "onShelve"> {
  draft: Planner["draft"];
}

/** What is done rarely: settings, history, copies, the archive. */
function MoreMenu({ plan, draft, onOpen, onShelve }: MoreProps) {
  const create = useCreatePlan();
  const navigate = useNavigate();
  const notice = useNotice();
  const inside = (node: HTMLElement) => node.closest("main") ?? node;
  const copy = (isTemplate: boolean) =>
    create.mutate(
      {
        ...draft,
        isTemplate,
        startsAt: null,
        name: isTemplate ? draft.name : t`${draft.name}, copy`,
        content: { ...draft.content },
      },
      {
        onSuccess: (made) => {
          notice.done(isTemplate ? t`Saved as a template.` : t`This is the copy; it has no day yet.`);
          if (!isTemplate) {
            navigate(`/sessions/${made.id}`);
          }
        },
        onError: notice.failed,
      },
    );
  return (
    <Dropdown
      trigger={["click"]}
      getPopupContainer={inside}
      menu={{
        items: [
          { key: "settings", label: t`Rules, medium, tracks …` },
          { key: "versions", label: t`History` },
          ...(canBeLogged(draft) ? [{ key: "log", label: t`Log as planned` }] : []),
          { key: "link", label: t`Link for athletes` },
          { key: "copy", label: t`Copy` },
          { key: "template", label: t`Save as a template` },
          { key: "archive", label: plan.archived ? t`Restore the session` : t`Archive the session`, danger: true },
        ],
        onClick: ({ key }) => {
          if (key === "settings" || key === "versions" || key === "link") {
            onOpen(key);
          } else if (key === "log") {
            void navigate(`/logbook/new?plan=${plan.id}`);
          } else if (key === "archive") {
            onShelve();
          } else {
            copy(key === "template");
          }
        },
      }}
    >
      <Button aria-label={t`More`}>⋯</Button>
    </Dropdown>
  );
}
