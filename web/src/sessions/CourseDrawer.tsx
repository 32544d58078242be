import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Checkbox, Drawer, Input, InputNumber, Select } from "antd";
import { type FormEvent, useState } from "react";
import { bounds } from "../api/bounds";
import type { Course, CourseRequest, Training } from "../api/client";
import { Failure } from "../ui/Failure";
import { layers } from "../ui/layers";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { GROUPS, LEVELS, MEDIA, RULES, STANCES } from "../ui/words";
import { useSaveCourse, useShelveCourse } from "./usePlans";

const WEEKDAYS = [
  { value: 0, label: t`no fixed day` },
  { value: 1, label: t`Monday` },
  { value: 2, label: t`Tuesday` },
  { value: 3, label: t`Wednesday` },
  { value: 4, label: t`Thursday` },
  { value: 5, label: t`Friday` },
  { value: 6, label: t`Saturday` },
  { value: 7, label: t`Sunday` },
];

const NEW: Required<Omit<CourseRequest, "weekday" | "time">> & Pick<CourseRequest, "weekday" | "time"> = {
  name: "",
  rules: "boxing",
  group: "open",
  medium: "pads",
  levels: [1],
  stances: ["orthodox", "southpaw"],
  minutes: 60,
  weekday: 2,
  time: "18:30",
  work: 180,
  longestWork: 180,
  workStep: 15,
  rests: [60],
  note: "",
};

/** A course while it is created or changed. */
interface Props {
  course: Course | null;
  training: Training | null;
  onClose: () => void;
}

export function CourseDrawer({ course, training, onClose }: Props) {
  const [form, setForm] = useState<CourseRequest>(() => {
    if (course === null) {
      // The gym's training provides the defaults.
      const { rules, media, groups } = training ?? {};
      return {
        ...NEW,
        ...(rules && { rules }),
        ...(media?.[0] && { medium: media[0] }),
        ...(groups?.[0] && { group: groups[0] }),
      };
    }
    const { id: _, version: __, archived: ___, ...rest } = course;
    return rest;
  });
  const save = useSaveCourse(course);
  const shelve = useShelveCourse();
  const notice = useNotice();
  const put = (values: Partial<CourseRequest>) => setForm((now) => ({ ...now, ...values }));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate(form, {
      onSuccess: (saved) => {
        notice.done(course === null ? t`${saved.name} is made.` : t`${saved.name} is saved.`);
        onClose();
      },
    });
  };
  const inside = (node: HTMLElement) => node.parentElement ?? document.body;
  return (
    <Drawer
      getContainer={layers}
      open
      onClose={onClose}
      title={course === null ? t`New course` : course.name}
      size={440}
      footer={
        <span className="drawer-foot">
          <Button type="primary" htmlType="submit" form="course" loading={save.isPending}>
            {course === null ? t`Make the course` : t`Save`}
          </Button>
          {course !== null && (
            <Button
              loading={shelve.isPending}
              onClick={() =>
                shelve.mutate(course, {
                  onSuccess: () => {
                    notice.done(t`${course.name} is archived; its sessions stay.`);
                    onClose();
                  },
                  onError: notice.failed,
                })
              }
            >
              <Trans>Archive</Trans>
            </Button>
          )}
        </span>
      }
    >
      <form id="course" className="course-form" onSubmit={submit}>
        <Failure error={save.error} />
        <label htmlFor="course-name">
          <Trans>Name</Trans>
        </label>
        <Input
          id="course-name"
          autoFocus
          value={form.name}
          {...bounds("CourseRequest", "name")}
          onChange={(event) => put({ name: event.target.value })}
          placeholder={t`Such as Tuesday beginners`}
        />
        <span className="field-name">
          <Trans>Rules</Trans>
        </span>
        <Segmented
          block
          value={form.rules}
          options={RULES}
          onChange={(rules) => put({ rules })}
          aria-label={t`Rules`}
        />
        <span className="field-name">
          <Trans>Group</Trans>
        </span>
        <Segmented
          block
          value={form.group}
          options={GROUPS}
          onChange={(group) => put({ group })}
          aria-label={t`Group`}
        />
        <span className="field-name">
          <Trans>Mostly on</Trans>
        </span>
        <Segmented
          block
          value={form.medium}
          options={MEDIA}
          onChange={(medium) => put({ medium })}
          aria-label={t`Medium`}
        />
        <span className="field-name">
          <Trans>Levels, a track each</Trans>
        </span>
        <Checkbox.Group value={form.levels} options={LEVELS} onChange={(levels) => put({ levels })} />
        <span className="field-name">
          <Trans>Stances</Trans>
        </span>
        <Checkbox.Group value={form.stances} options={STANCES} onChange={(stances) => put({ stances })} />
        <span className="pair">
          <span>
            <label htmlFor="course-day">
              <Trans>Day</Trans>
            </label>
            <Select
              id="course-day"
              value={form.weekday ?? 0}
              options={WEEKDAYS}
              onChange={(weekday: number) => put({ weekday: weekday === 0 ? null : weekday })}
              getPopupContainer={inside}
            />
          </span>
          <span>
            <label htmlFor="course-time">
              <Trans>Time</Trans>
            </label>
            <Input
              id="course-time"
              type="time"
              value={form.time ?? ""}
              onChange={(event) => put({ time: event.target.value || null })}
            />
          </span>
          <span>
            <label htmlFor="course-minutes">
              <Trans>Minutes</Trans>
            </label>
            <InputNumber
              id="course-minutes"
              {...bounds("CourseRequest", "minutes")}
              value={form.minutes}
              onChange={(minutes) => put({ minutes: minutes ?? 60 })}
            />
          </span>
        </span>
        <span className="field-name">
          <Trans>From session to session: first shorter rests, then longer rounds</Trans>
        </span>
        <span className="pair">
          <span>
            <label htmlFor="course-work">
              <Trans>Round (s)</Trans>
            </label>
            <InputNumber
              id="course-work"
              {...bounds("CourseRequest", "work")}
              value={form.work}
              onChange={(work) => put({ work: work ?? 180 })}
            />
          </span>
          <span>
            <label htmlFor="course-longest">
              <Trans>Longest round (s)</Trans>
            </label>
            <InputNumber
              id="course-longest"
              {...bounds("CourseRequest", "longestWork")}
              value={form.longestWork}
              onChange={(longestWork) => put({ longestWork: longestWork ?? 180 })}
            />
          </span>
          <span>
            <label htmlFor="course-step">
              <Trans>Longer by (s) each session</Trans>
            </label>
            <InputNumber
              id="course-step"
              {...bounds("CourseRequest", "workStep")}
              value={form.workStep}
              onChange={(workStep) => put({ workStep: workStep ?? 15 })}
            />
          </span>
        </span>
        <label htmlFor="course-rests">
          <Trans>Rest periods (s), in order</Trans>
        </label>
        <Select
          id="course-rests"
          mode="tags"
          value={(form.rests ?? []).map(String)}
          onChange={(rests: string[]) => put({ rests: rests.map(Number).filter((rest) => Number.isInteger(rest)) })}
          tokenSeparators={[",", " "]}
          open={false}
          suffixIcon={null}
        />
        <label htmlFor="course-note">
          <Trans>Note</Trans>
        </label>
        <Input.TextArea
          id="course-note"
          rows={3}
          {...bounds("CourseRequest", "note")}
          value={form.note}
          onChange={(event) => put({ note: event.target.value })}
        />
      </form>
    </Drawer>
  );
}
