import { DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Select } from "antd";
import { useParams } from "react-router";
import type { Syllabus } from "../api/client";
import { useMay } from "../api/session";
import { useCourses } from "../api/useCourses";
import { CombinationPick } from "../library-search/CombinationPick";
import { DayField } from "../ui/DayField";
import { dragWords } from "../ui/dragWords";
import { Failure } from "../ui/Failure";
import { FileButton } from "../ui/FileButton";
import { Loaded } from "../ui/Loaded";
import { Trail } from "../ui/Trail";
import { moved, newWeek } from "./syllabusDraft";
import { useSyllabus, useSyllabusDraft } from "./useSyllabus";
import { WeekCard } from "./WeekCard";
import "./syllabus.css";

/** What a course teaches, week by week: written by the coach, with what the logbook says of it. */
export default function SyllabusScreen() {
  const syllabus = useSyllabus(Number(useParams().id));
  return (
    <main className="page">
      <Loaded query={syllabus} what={t`Loading the syllabus`}>
        {(data) => <Edited key={data.version} syllabus={data} />}
      </Loaded>
    </main>
  );
}

function Edited({ syllabus }: { syllabus: Syllabus }) {
  const mayEdit = useMay("EDIT_COURSES");
  const work = useSyllabusDraft(syllabus);
  const { draft, change } = work;
  const { weeks } = draft;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  );
  const put = (at: number, week: (typeof weeks)[number]) =>
    change({ weeks: weeks.map((one, place) => (place === at ? week : one)) });
  return (
    <>
      <Trail to="/sessions" place={t`Sessions`} name={t`Syllabus`} />
      <Flex component="header" wrap align="center" gap="small" className="page-head">
        <h1>
          <Trans>Syllabus of {syllabus.name}</Trans>
        </h1>
        <Files syllabus={syllabus} onFile={mayEdit ? (file) => void work.readFile(file) : null} />
      </Flex>
      <Failure error={work.error} />
      {mayEdit && <Tools course={syllabus.course} work={work} />}
      {weeks.length === 0 && (
        <div className="panel empty">
          <h2>
            <Trans>Nothing is written yet</Trans>
          </h2>
          <p>
            {mayEdit
              ? t`Choose a goal above and its path becomes the weeks, copy another course, or add a week.`
              : t`The head coach writes what this course teaches, week by week.`}
          </p>
        </div>
      )}
      <DndContext
        sensors={sensors}
        accessibility={dragWords()}
        onDragEnd={({ active, over }) => {
          const from = weeks.findIndex(({ key }) => key === active.id);
          const to = weeks.findIndex(({ key }) => key === over?.id);
          if (from >= 0 && to >= 0 && from !== to) {
            change({ weeks: moved(weeks, from, to) });
          }
        }}
      >
        <ol className="syllabus-weeks">
          {weeks.map((week, at) => (
            <WeekCard
              key={week.key}
              {...{ week, at, syllabus, mayEdit }}
              isMoved={work.isMoved}
              last={weeks.length - 1}
              onChange={(next) => put(at, next)}
              onMove={(to) => change({ weeks: moved(weeks, at, to) })}
              onRemove={() => change({ weeks: weeks.filter((_, place) => place !== at) })}
            />
          ))}
        </ol>
      </DndContext>
      {mayEdit && (
        <Flex gap="small" wrap className="syllabus-foot">
          <Button onClick={() => change({ weeks: [...weeks, newWeek()] })}>
            <Trans>Add a week</Trans>
          </Button>
          <Button disabled={!work.history.canUndo} onClick={work.history.undo}>
            <Trans>Undo</Trans>
          </Button>
          <Button type="primary" disabled={!work.isChanged} loading={work.saves} onClick={() => void work.save()}>
            <Trans>Save</Trans>
          </Button>
        </Flex>
      )}
    </>
  );
}

/** The start of the first week, and the ways to fill it. */
function Tools({ course, work }: { course: number; work: ReturnType<typeof useSyllabusDraft> }) {
  const others = (useCourses().data ?? []).filter(({ id, archived }) => id !== course && !archived);
  return (
    <Flex wrap align="center" gap="small" className="syllabus-tools">
      <span>
        <Trans>First week</Trans>
      </span>
      <DayField
        value={work.draft.startsOn}
        placeholder={t`not fixed`}
        onChange={(startsOn) => work.change({ startsOn })}
        aria-label={t`First week`}
      />
      <CombinationPick
        label={t`Propose from a goal`}
        placeholder={t`Propose from a goal: a name, or numbers`}
        className="syllabus-goal"
        first={{ sort: "level", direction: "down" }}
        onChoose={({ id }) => void work.propose(id)}
      />
      {others.length > 0 && (
        <Select
          value={null}
          placeholder={t`Copy from a course`}
          aria-label={t`Copy from a course`}
          options={others.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id: number | null) => id !== null && void work.copyFrom(id)}
          popupMatchSelectWidth={false}
        />
      )}
    </Flex>
  );
}

/** The stored syllabus on paper and as a file, and another file to take over. */
function Files({ syllabus, onFile }: { syllabus: Syllabus; onFile: ((file: File) => void) | null }) {
  return (
    <>
      <Button href={`/api/courses/${syllabus.course}/syllabus.pdf`}>
        <Trans>Print (PDF)</Trans>
      </Button>
      <Button href={`/api/courses/${syllabus.course}/syllabus.json`}>
        <Trans>Save as JSON</Trans>
      </Button>
      {onFile && (
        <FileButton label={t`A syllabus as JSON`} accept="application/json,.json" onFile={onFile}>
          <Trans>Read a file</Trans>
        </FileButton>
      )}
    </>
  );
}
