import { t } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, ifMatch, type Syllabus, type SyllabusFile, server } from "../api/client";
import { refresh } from "../api/keys";
import { useHistory } from "../ui/useHistory";
import { useNotice } from "../ui/useNotice";
import { draftOf, requestOf, type SyllabusDraft, teachTheSame, weekOf, withSteps } from "./syllabusDraft";

/** What is sent of a file that is no JSON, so that the server says what was expected. */
const NO_SYLLABUS = { format: "", version: 1, startsOn: null, weeks: [] } as unknown as SyllabusFile;

export function useSyllabus(course: number) {
  return server.useQuery("get", "/api/courses/{id}/syllabus", { params: { path: { id: course } } });
}

/** The syllabus while it is edited: with undo, and saved on the version that was read. */
export function useSyllabusDraft(syllabus: Syllabus) {
  const queries = useQueryClient();
  const notice = useNotice();
  const [stored] = useState(() => draftOf(syllabus));
  const history = useHistory<SyllabusDraft>(() => ({ now: stored, before: null }));
  const [error, setError] = useState<unknown>(null);
  const [saves, setSaves] = useState(false);
  const draft = history.now;
  const change = (part: Partial<SyllabusDraft>) => history.change((now) => ({ ...now, ...part }), true);
  const isChanged = JSON.stringify(requestOf(draft)) !== JSON.stringify(requestOf(stored));
  const save = async () => {
    setSaves(true);
    setError(null);
    try {
      await answered(
        api.PUT("/api/courses/{id}/syllabus", {
          params: { path: { id: syllabus.course }, header: ifMatch(syllabus.version) },
          body: requestOf(draft),
        }),
      );
      await refresh(queries, "/api/courses/{id}/syllabus", "/api/courses", "/api/audit-log");
      notice.done(t`The syllabus is saved.`);
    } catch (failed) {
      setError(failed);
    } finally {
      setSaves(false);
    }
  };
  /** Adds the steps of the path to a goal, a week each. */
  const propose = async (goal: number) => {
    setError(null);
    try {
      const path = await answered(
        api.GET("/api/courses/{id}/path", { params: { path: { id: syllabus.course }, query: { to: goal } } }),
      );
      const steps = path.steps.flatMap(({ id, name, text }) => (id === null ? [] : [{ id, name, text }]));
      history.change((now) => withSteps(now, steps));
      const missing = path.steps.length - steps.length;
      notice.done(
        missing > 0
          ? t`${path.says} ${missing} of its steps are not in the library yet; the path of the course makes them.`
          : path.says,
      );
    } catch (failed) {
      setError(failed);
    }
  };
  /** Takes over the weeks of another course. */
  const copyFrom = async (course: number) => {
    setError(null);
    try {
      const other = await answered(api.GET("/api/courses/{id}/syllabus", { params: { path: { id: course } } }));
      history.change((now) => ({ ...now, weeks: draftOf(other).weeks }));
      notice.done(t`Copied from ${other.name}; it is not saved yet.`);
    } catch (failed) {
      setError(failed);
    }
  };
  /** Takes over the weeks of a file, with what the library has of them. */
  const readFile = async (file: File) => {
    setError(null);
    try {
      const content = (await file
        .text()
        .then(JSON.parse)
        .catch(() => null)) as SyllabusFile | null;
      const read = await answered(
        api.POST("/api/syllabus-files", { body: content ?? { ...NO_SYLLABUS, name: file.name } }),
      );
      history.change((now) => ({ startsOn: read.startsOn ?? now.startsOn, weeks: read.weeks.map(weekOf) }));
      if (read.missing.length === 0) {
        notice.done(t`Read; it is not saved yet.`);
      } else {
        notice.warn(t`The library does not have ${read.missing.join(", ")}. The rest is read, and not saved yet.`);
      }
    } catch (failed) {
      setError(failed);
    }
  };
  return {
    draft,
    change,
    isChanged,
    isMoved: !teachTheSame(draft, stored),
    save,
    saves,
    propose,
    copyFrom,
    readFile,
    error,
    history,
  };
}
