import { t } from "@lingui/core/macro";
import { useState } from "react";
import type { Course } from "../api/client";
import { useMay } from "../api/session";
import { useCourses } from "../api/useCourses";
import { useGym } from "../api/useGym";
import { Loaded } from "../ui/Loaded";
import { Calendar } from "./Calendar";
import { CourseDrawer } from "./CourseDrawer";
import { CourseList } from "./CourseList";
import { PlanLists } from "./PlanLists";
import { SessionsHead } from "./SessionsHead";
import { addDays } from "./time";
import { useCalendarView } from "./useCalendarView";
import { useNewSession } from "./useNewSession";
import { usePlanList } from "./usePlans";
import "./sessions.css";

/** The planned sessions by day, the courses, and the templates. */
export default function SessionsScreen() {
  const view = useCalendarView();
  const list = usePlanList(view.first, view.last, view.course);
  // The next session of each course does not depend on the shown week.
  const coming = usePlanList(view.today, addDays(view.today, 120)).data?.plans ?? [];
  const courses = useCourses().data ?? [];
  const gym = useGym();
  const mayEdit = useMay("EDIT_COURSES");
  const start = useNewSession(coming);
  const [edited, setEdited] = useState<Course | "new" | null>(null);
  return (
    <main className="page sessions">
      <SessionsHead
        view={view}
        courses={courses}
        isMaking={start.making === "hand "}
        onNew={() => start.byHand(null)}
      />
      <Loaded query={list} what={t`Loading the plans`}>
        {({ plans }) => (
          <Calendar
            weeks={view.weeks}
            today={view.today}
            month={view.byMonth ? view.day.slice(0, 7) : null}
            plans={plans}
            old={list.isPlaceholderData}
            onNew={(on) => start.byHand(courses.find((course) => course.id === view.course) ?? null, on)}
          />
        )}
      </Loaded>
      <div className="sessions-below">
        <CourseList
          courses={courses}
          plans={coming}
          making={start.making}
          mayEdit={mayEdit}
          next={start.freeDay}
          onEdit={setEdited}
          onHand={(course) => start.byHand(course)}
          onPress={start.generate}
        />
        <PlanLists
          templates={list.data?.templates}
          undated={list.data?.undated ?? []}
          course={view.course}
          making={start.making}
          onTemplate={(template) => start.fromTemplate(template, view.day)}
          onFile={start.fromFile}
        />
      </div>
      {edited !== null && gym.isFetched && (
        <CourseDrawer
          course={edited === "new" ? null : edited}
          training={gym.data?.training ?? null}
          onClose={() => setEdited(null)}
        />
      )}
    </main>
  );
}
