import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Button, Dropdown, Input, InputNumber, Select } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { bounds, maxItems } from "../api/bounds";
import type { Plan, SessionDocument } from "../api/client";
import { useCourses } from "../api/useCourses";
import { StartDialog } from "../run/StartDialog";
import { Dialog } from "../ui/Dialog";
import { ExportMenu } from "../ui/ExportMenu";
import { useNotice } from "../ui/useNotice";
import { GROUPS, MEDIA, RULES } from "../ui/words";
import { GenerateSession } from "./GenerateSession";
import type { Reasons } from "./PlannerScreen";
import type { Planner, Saving } from "./usePlanner";
import { useArchivePlan, useCreatePlan } from "./usePlans";
import { Versions } from "./Versions";

const SAVING: Record<Saving, string> = {
  saved: "saved",
  waiting: t`not saved yet …`,
  saving: t`saving …`,
  failed: t`not saved; trying again`,
  changed: t`changed by another coach`,
};

/** The head of the planner: name, time, course, actions, and the state of saving. */
export function PlanHead({
  plan,
  planner,
  document,
  onReasons,
}: {
  plan: Plan;
  planner: Planner;
  document: SessionDocument | null;
  onReasons: (why: Reasons) => void;
}) {
  const { draft, change } = planner;
  const courses = useCourses().data ?? [];
  const create = useCreatePlan();
  const shelving = useArchivePlan();
  const navigate = useNavigate();
  const notice = useNotice();
  const [open, setOpen] = useState<"press" | "versions" | "settings" | "run" | null>(null);
  const put = (values: Partial<typeof draft>, typed = false) => change((now) => ({ ...now, ...values }), typed);
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
  /** Archives or restores the session. */
  const shelve = async () => {
    try {
      await shelving.mutateAsync({ id: plan.id, version: planner.version, archived: plan.archived });
      await planner.takeTheirs();
    } catch (error) {
      notice.failed(error);
    }
  };
  const files = (path: string) => (planner.saving === "saved" ? `/api/plans/${plan.id}/${path}` : null);
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
        <input
          type="datetime-local"
          className="plan-when"
          aria-label={t`Day and time`}
          value={draft.startsAt ?? ""}
          onChange={(event) => put({ startsAt: event.target.value || null })}
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
      <span className="plan-ways">
        <Button onClick={planner.undo} disabled={!planner.canUndo} aria-label={t`Undo`} title={t`Undo, Ctrl Z`}>
          ↶
        </Button>
        <Button onClick={planner.redo} disabled={!planner.canRedo} aria-label={t`Redo`} title={t`Redo, Ctrl Shift Z`}>
          ↷
        </Button>
        <Button onClick={() => setOpen("press")}>
          <Trans>Generate</Trans>
        </Button>
        <Button
          type="primary"
          disabled={planner.saving !== "saved" || draft.isTemplate}
          title={draft.isTemplate ? t`A template is copied first` : t`Start it on the walls`}
          onClick={() => setOpen("run")}
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
            { label: t`Cues, WebVTT`, to: files("cues.vtt") },
            { label: t`The plan, JSON`, to: files("plan.json") },
          ]}
        />
        <Dropdown
          trigger={["click"]}
          getPopupContainer={inside}
          menu={{
            items: [
              { key: "settings", label: t`Rules, medium, tracks …` },
              { key: "versions", label: t`History` },
              { key: "copy", label: t`Copy` },
              { key: "template", label: t`Save as a template` },
              { key: "archive", label: plan.archived ? t`Restore the session` : t`Archive the session`, danger: true },
            ],
            onClick: ({ key }) => {
              if (key === "settings" || key === "versions") {
                setOpen(key);
              } else if (key === "archive") {
                void shelve();
              } else {
                copy(key === "template");
              }
            },
          }}
        >
          <Button aria-label={t`More`}>⋯</Button>
        </Dropdown>
      </span>
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
          <Button size="small" loading={shelving.isPending} onClick={() => void shelve()}>
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
      {open === "press" && <GenerateSession planner={planner} onClose={() => setOpen(null)} onReasons={onReasons} />}
      {open === "run" && <StartDialog plan={plan} onClose={() => setOpen(null)} />}
      {open === "versions" && <Versions plan={plan} planner={planner} onClose={() => setOpen(null)} />}
      <Dialog open={open === "settings"} onClose={() => setOpen(null)} title={t`Rules, medium, tracks`}>
        <Settings planner={planner} document={document} />
      </Dialog>
    </header>
  );
}

/** The settings of the whole session. */
function Settings({ planner, document }: { planner: Planner; document: SessionDocument | null }) {
  const { content } = planner.draft;
  const put = (values: Partial<typeof content>) =>
    planner.change((now) => ({ ...now, content: { ...now.content, ...values } }), true);
  const track = (at: number, values: Partial<(typeof content.tracks)[number]>) =>
    put({ tracks: content.tracks.map((one, place) => (place === at ? { ...one, ...values } : one)) });
  return (
    <div className="course-form">
      <label htmlFor="plan-minutes">
        <Trans>Time available (min)</Trans>
      </label>
      <InputNumber
        id="plan-minutes"
        {...bounds("Plan", "minutes")}
        value={content.minutes ?? null}
        onChange={(minutes) => put({ minutes })}
        placeholder={t`as long as it takes`}
      />
      <label htmlFor="plan-rules">
        <Trans>Rules</Trans>
      </label>
      <Select id="plan-rules" value={content.rules} options={RULES} onChange={(rules) => put({ rules })} />
      <label htmlFor="plan-group">
        <Trans>Group</Trans>
      </label>
      <Select id="plan-group" value={content.group} options={GROUPS} onChange={(group) => put({ group })} />
      <label htmlFor="plan-medium">
        <Trans>Mostly on</Trans>
      </label>
      <Select id="plan-medium" value={content.medium} options={MEDIA} onChange={(medium) => put({ medium })} />
      <label htmlFor="plan-level">
        <Trans>Default level</Trans>
      </label>
      <InputNumber
        id="plan-level"
        min={1}
        max={3}
        value={content.level}
        onChange={(level) => put({ level: level ?? 2 })}
      />
      <label htmlFor="plan-seed">
        <Trans>Seed of calls</Trans>
      </label>
      <InputNumber
        id="plan-seed"
        {...bounds("Plan", "seed")}
        value={content.seed}
        onChange={(seed) => put({ seed: seed ?? 1 })}
      />
      <span className="field-name">
        <Trans>Tracks: levels side by side on one clock</Trans>
      </span>
      {content.tracks.map((one, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a track is told by its place
        <span key={at} className="pair">
          <Input
            value={one.name}
            {...bounds("PlanTrack", "name")}
            aria-label={t`Name of track ${at + 1}`}
            onChange={(event) => track(at, { name: event.target.value })}
          />
          <InputNumber
            min={1}
            max={3}
            value={one.level}
            aria-label={t`Level of track ${at + 1}`}
            onChange={(level) => track(at, { level: level ?? 2 })}
          />
          <Button
            aria-label={t`Take track ${at + 1} out`}
            onClick={() =>
              put({
                tracks: content.tracks.filter((_, place) => place !== at),
                // Tracks are identified by number, so later ones move up.
                blocks: content.blocks.map((block) => ({
                  ...block,
                  rounds: block.rounds.map((round) => ({
                    ...round,
                    tracks: round.tracks
                      ?.filter((own) => own.track !== at)
                      .map((own) => (own.track > at ? { ...own, track: own.track - 1 } : own)),
                  })),
                })),
              })
            }
          >
            ✕
          </Button>
        </span>
      ))}
      {content.tracks.length < maxItems("Plan", "tracks") && (
        <Button
          onClick={() =>
            put({
              tracks: [
                ...content.tracks,
                { name: t`Level ${content.tracks.length + 1}`, level: Math.min(3, content.tracks.length + 1) },
              ],
            })
          }
        >
          <Trans>Add a track</Trans>
        </Button>
      )}
      {document && document.problems.length > 0 && <p className="small">{document.problems[0]?.message}</p>}
    </div>
  );
}
