import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, InputNumber, Select } from "antd";
import { useState } from "react";
import { bounds } from "../api/bounds";
import { useCourses } from "../api/useCourses";
import { useVocabulary } from "../api/useVocabulary";
import { Dialog } from "../ui/Dialog";
import { Failure } from "../ui/Failure";
import { Segmented } from "../ui/Segmented";
import { LIMBS } from "../ui/words";
import type { Reasons } from "./PlannerScreen";
import type { Planner } from "./usePlanner";
import { composed } from "./usePlans";

/** What a session is about; the value is a theme or a limb. */
interface Goal {
  aim: "due" | "syllabus" | "theme" | "weapon";
  value: string | null;
}

const AIMS: { value: Goal["aim"]; label: string }[] = [
  { value: "due", label: t`What is due` },
  { value: "syllabus", label: t`The syllabus` },
  { value: "theme", label: t`A theme` },
  { value: "weapon", label: t`A weapon` },
];

interface Props {
  planner: Planner;
  onClose: () => void;
  onReasons: (why: Reasons) => void;
}

/** Generates the session from course, minutes, aim and seed; locked parts stay. */
export function GenerateSession({ planner, onClose, onReasons }: Props) {
  const { draft } = planner;
  const courses = (useCourses().data ?? []).filter((course) => !course.archived);
  const [course, setCourse] = useState(draft.course);
  const [minutes, setMinutes] = useState<number | null>(draft.content.minutes ?? null);
  const [{ aim, value }, setGoal] = useState<Goal>({ aim: "due", value: null });
  const [seed, setSeed] = useState(() => draft.content.seed + 1);
  const chosen = course ?? courses[0]?.id ?? null;
  const { compose, making, error } = useCompose(planner, (why) => {
    onReasons(why);
    onClose();
  });
  const locked = draft.content.blocks.reduce(
    (count, block) => count + (block.locked ? 1 : 0) + block.rounds.filter((round) => round.locked).length,
    0,
  );
  const make = () => chosen !== null && void compose({ course: chosen, minutes, aim, value, seed });
  return (
    <Dialog onClose={onClose} title={t`Generate`}>
      <Flex vertical gap="small" className="course-form">
        <Failure error={error} />
        {courses.length === 0 && (
          <p>
            <Trans>There is no course yet. The head coach adds one under Sessions.</Trans>
          </p>
        )}
        <label htmlFor="press-course">
          <Trans>Course</Trans>
        </label>
        <Select
          id="press-course"
          value={chosen}
          options={courses.map((one) => ({ value: one.id, label: one.name }))}
          onChange={(next: number) => setCourse(next)}
        />
        <label htmlFor="press-minutes">
          <Trans>Minutes</Trans>
        </label>
        <InputNumber
          id="press-minutes"
          {...bounds("ComposeRequest", "minutes")}
          value={minutes}
          placeholder={t`as the course`}
          onChange={setMinutes}
        />
        <AimFields aim={aim} value={value} onChange={setGoal} />
        <label htmlFor="press-seed">
          <Trans>Seed (change it for a different session)</Trans>
        </label>
        <InputNumber
          id="press-seed"
          {...bounds("ComposeRequest", "seed")}
          value={seed}
          onChange={(next) => setSeed(next ?? 1)}
        />
        <p className="small">
          {locked > 0
            ? t`${plural(locked, { one: "One locked part stays", other: "# locked parts stay" })}; the rest is generated again.`
            : t`Everything is generated again. Lock a round or a block to keep it. Undo restores the current session.`}
        </p>
        <Button type="primary" loading={making} disabled={chosen === null} onClick={make}>
          {locked > 0 ? t`Generate the rest again` : t`Generate the session`}
        </Button>
      </Flex>
    </Dialog>
  );
}

interface AimProps extends Goal {
  onChange: (goal: Goal) => void;
}

function AimFields({ aim, value, onChange }: AimProps) {
  const themes = useVocabulary()?.themes ?? [];
  return (
    <>
      <span className="field-name">
        <Trans>About</Trans>
      </span>
      <Segmented
        block
        value={aim}
        options={AIMS}
        aria-label={t`Aim`}
        onChange={(next) =>
          onChange({
            aim: next,
            value: next === "theme" ? (themes[0]?.value ?? null) : next === "weapon" ? "hand" : null,
          })
        }
      />
      {aim === "theme" && (
        <Select
          aria-label={t`Theme`}
          value={value}
          options={themes}
          onChange={(next: string) => onChange({ aim, value: next })}
        />
      )}
      {aim === "weapon" && (
        <Select
          aria-label={t`Weapon`}
          value={value}
          options={LIMBS}
          onChange={(next: string) => onChange({ aim, value: next })}
        />
      )}
    </>
  );
}

/** Has the server make a session, and takes it into the planner. */
function useCompose(planner: Planner, onMade: (why: Reasons) => void) {
  const [error, setError] = useState<unknown>(null);
  const [making, setMaking] = useState(false);
  const compose = async (asked: Omit<Parameters<typeof composed>[0], "locked">) => {
    setMaking(true);
    setError(null);
    try {
      const made = await composed({ ...asked, locked: planner.draft.content });
      planner.change((now) => ({
        ...now,
        course: asked.course,
        name: now.name.trim() === "" || now.name === now.content.name ? made.content.name : now.name,
        content: made.content,
      }));
      onMade({ reasons: made.reasons, unmet: made.unmet });
    } catch (failure) {
      setError(failure);
    } finally {
      setMaking(false);
    }
  };
  return { compose, making, error };
}
