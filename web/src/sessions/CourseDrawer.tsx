import { Button, Checkbox, Drawer, Input, InputNumber, Select } from "antd";
import { type FormEvent, useState } from "react";
import type { Course, CourseRequest, Training } from "../api/client";
import { Failure } from "../ui/Failure";
import { layers } from "../ui/layers";
import { Segmented } from "../ui/Segmented";
import { useNotice } from "../ui/useNotice";
import { GROUPS, LEVELS, MEDIA, RULES, STANCES } from "../ui/words";
import { useSaveCourse, useShelveCourse } from "./usePlans";

const WEEKDAYS = [
  { value: 0, label: "no fixed day" },
  { value: 1, label: "Monday" },
  { value: 2, label: "Tuesday" },
  { value: 3, label: "Wednesday" },
  { value: 4, label: "Thursday" },
  { value: 5, label: "Friday" },
  { value: 6, label: "Saturday" },
  { value: 7, label: "Sunday" },
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
        notice.done(course === null ? `${saved.name} is made.` : `${saved.name} is saved.`);
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
      title={course === null ? "New course" : course.name}
      size={440}
      footer={
        <span className="drawer-foot">
          <Button type="primary" htmlType="submit" form="course" loading={save.isPending}>
            {course === null ? "Make the course" : "Save"}
          </Button>
          {course !== null && (
            <Button
              loading={shelve.isPending}
              onClick={() =>
                shelve.mutate(course, {
                  onSuccess: () => {
                    notice.done(`${course.name} is archived; its sessions stay.`);
                    onClose();
                  },
                  onError: notice.failed,
                })
              }
            >
              Archive
            </Button>
          )}
        </span>
      }
    >
      <form id="course" className="course-form" onSubmit={submit}>
        <Failure error={save.error} />
        <label htmlFor="course-name">Name</label>
        <Input
          id="course-name"
          autoFocus
          value={form.name}
          maxLength={80}
          onChange={(event) => put({ name: event.target.value })}
          placeholder="Such as Tuesday beginners"
        />
        <span className="field-name">Rules</span>
        <Segmented block value={form.rules} options={RULES} onChange={(rules) => put({ rules })} aria-label="Rules" />
        <span className="field-name">Group</span>
        <Segmented block value={form.group} options={GROUPS} onChange={(group) => put({ group })} aria-label="Group" />
        <span className="field-name">Mostly on</span>
        <Segmented
          block
          value={form.medium}
          options={MEDIA}
          onChange={(medium) => put({ medium })}
          aria-label="Medium"
        />
        <span className="field-name">Levels, a track each</span>
        <Checkbox.Group value={form.levels} options={LEVELS} onChange={(levels) => put({ levels })} />
        <span className="field-name">Stances</span>
        <Checkbox.Group value={form.stances} options={STANCES} onChange={(stances) => put({ stances })} />
        <span className="pair">
          <span>
            <label htmlFor="course-day">Day</label>
            <Select
              id="course-day"
              value={form.weekday ?? 0}
              options={WEEKDAYS}
              onChange={(weekday: number) => put({ weekday: weekday === 0 ? null : weekday })}
              getPopupContainer={inside}
            />
          </span>
          <span>
            <label htmlFor="course-time">Time</label>
            <Input
              id="course-time"
              type="time"
              value={form.time ?? ""}
              onChange={(event) => put({ time: event.target.value || null })}
            />
          </span>
          <span>
            <label htmlFor="course-minutes">Minutes</label>
            <InputNumber
              id="course-minutes"
              min={15}
              max={180}
              value={form.minutes}
              onChange={(minutes) => put({ minutes: minutes ?? 60 })}
            />
          </span>
        </span>
        <span className="field-name">From session to session: first the rest is cut, then the round grows</span>
        <span className="pair">
          <span>
            <label htmlFor="course-work">Round, s</label>
            <InputNumber
              id="course-work"
              min={30}
              max={600}
              value={form.work}
              onChange={(work) => put({ work: work ?? 180 })}
            />
          </span>
          <span>
            <label htmlFor="course-longest">up to, s</label>
            <InputNumber
              id="course-longest"
              min={30}
              max={600}
              value={form.longestWork}
              onChange={(longestWork) => put({ longestWork: longestWork ?? 180 })}
            />
          </span>
          <span>
            <label htmlFor="course-step">by, s</label>
            <InputNumber
              id="course-step"
              min={5}
              max={120}
              value={form.workStep}
              onChange={(workStep) => put({ workStep: workStep ?? 15 })}
            />
          </span>
        </span>
        <label htmlFor="course-rests">Rests, s, one after the other</label>
        <Select
          id="course-rests"
          mode="tags"
          value={(form.rests ?? []).map(String)}
          onChange={(rests: string[]) => put({ rests: rests.map(Number).filter((rest) => Number.isInteger(rest)) })}
          tokenSeparators={[",", " "]}
          open={false}
          suffixIcon={null}
        />
        <label htmlFor="course-note">Note</label>
        <Input.TextArea
          id="course-note"
          rows={3}
          maxLength={1000}
          value={form.note}
          onChange={(event) => put({ note: event.target.value })}
        />
      </form>
    </Drawer>
  );
}
