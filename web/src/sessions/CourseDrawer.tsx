import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Drawer, Flex } from "antd";
import { type FormEvent, useState } from "react";
import type { Course, CourseRequest, Training } from "../api/client";
import { Failure } from "../ui/Failure";
import { layers } from "../ui/layers";
import { useNotice } from "../ui/useNotice";
import { CourseFields } from "./CourseFields";
import { useSaveCourse, useShelveCourse } from "./usePlans";

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
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate(form, {
      onSuccess: (saved) => {
        notice.done(course === null ? t`${saved.name} is made.` : t`${saved.name} is saved.`);
        onClose();
      },
    });
  };
  return (
    <Drawer
      getContainer={layers}
      open
      onClose={onClose}
      title={course === null ? t`New course` : course.name}
      size={440}
      footer={
        <Flex component="span" gap="small">
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
        </Flex>
      }
    >
      <Flex component="form" vertical gap="small" id="course" className="course-form" onSubmit={submit}>
        <Failure error={save.error} />
        <CourseFields form={form} onPut={(values) => setForm((now) => ({ ...now, ...values }))} />
      </Flex>
    </Drawer>
  );
}
