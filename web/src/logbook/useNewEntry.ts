import { t } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { isAway, type PlannedEntry } from "../api/client";
import { logbookChanged } from "../api/keys";
import { newId } from "../api/newId";
import { useCourses } from "../api/useCourses";
import { useKept } from "../ui/useKept";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import { type EntryDraft, emptyDraft, requestOf } from "./entryDraft";
import { titleOf } from "./titleOf";
import { useLastAttendance, usePlannedEntry, writeEntry } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";

/** An unsaved new entry. */
interface KeptEntry {
  id: string;
  draft: EntryDraft;
}

/** Writes a new entry: kept on the device until it is logged, and queued there while the server is away. */
export function useNewEntry() {
  const [address] = useSearchParams();
  const course = Number(address.get("course")) || null;
  const kept = useKept<KeptEntry>("new-entry");
  const [restored, setRestored] = useState(() => kept.read());
  const [draft, setDraft] = useState<EntryDraft>(() => restored?.draft ?? emptyDraft(todayInGym(), course));
  const [error, setError] = useState<unknown>(null);
  const [sends, setSends] = useState(false);
  // Chosen once, so that sending the form twice creates one entry.
  const [id, setId] = useState(() => restored?.id ?? newId());
  const queries = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  const { queue, writer } = useLogQueue();
  const courses = useCourses().data ?? [];
  const asked = Number(address.get("plan")) || null;
  const planned = usePlannedEntry(draft.plan ?? (restored ? null : asked)).data;
  /** Logs what a session planned; without one, the combinations are said by hand. */
  const follow = (plan: PlannedEntry | null) =>
    change(
      plan === null
        ? { plan: null, combinations: [] }
        : {
            plan: plan.plan,
            name: plan.name,
            course: plan.course,
            combinations: null,
            ...(plan.day !== null && plan.day <= todayInGym() && { day: plan.day }),
          },
    );
  // biome-ignore lint/correctness/useExhaustiveDependencies: the address asks for it once
  useEffect(() => {
    if (planned && asked === planned.plan && draft.plan === null && planned.entry === null) {
      follow(planned);
    }
  }, [planned]);
  const last = useLastAttendance(draft.course);
  const isUncounted = draft.orthodox === null && draft.southpaw === null && Object.keys(draft.levels).length === 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: it begins with last time's once for each course
  useEffect(() => {
    if (last && isUncounted) {
      setDraft((now) => ({ ...now, orthodox: last.orthodox, southpaw: last.southpaw, levels: last.levels }));
    }
  }, [last?.id]);
  const change = (part: Partial<EntryDraft>) =>
    setDraft((now) => {
      const next = { ...now, ...part };
      kept.write({ id, draft: next });
      return next;
    });
  const discard = () => {
    kept.forget();
    setRestored(null);
    setId(newId());
    setDraft(emptyDraft(todayInGym(), course));
  };
  const save = async () => {
    const body = requestOf(draft, id);
    setSends(true);
    try {
      const made = await writeEntry(body);
      kept.forget();
      logbookChanged(queries);
      await navigate(`/logbook/${made.id}`, { replace: true });
    } catch (failed) {
      if (isAway(failed)) {
        const name = draft.name || courses.find((one) => one.id === draft.course)?.name || t`Session`;
        kept.forget();
        queue.add({ key: id, corrects: null, writer, title: titleOf(name, draft.day), body });
        notice.done(t`Saved on this device. It is sent when the server is back.`);
        await navigate("/logbook", { replace: true });
      } else {
        setError(failed);
      }
    } finally {
      setSends(false);
    }
  };
  return {
    draft,
    change,
    discard,
    planned: draft.plan === null && asked === null ? undefined : planned,
    follow,
    save,
    forget: kept.forget,
    /** Whether the draft is from an earlier visit. */
    isRestored: restored !== null,
    isSending: sends,
    error,
  };
}
