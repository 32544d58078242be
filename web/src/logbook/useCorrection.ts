import { t } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { isAway, type LogEntry, server } from "../api/client";
import { logbookChanged } from "../api/keys";
import { useKept } from "../ui/useKept";
import { useNotice } from "../ui/useNotice";
import { draftOf, type EntryDraft, requestOf } from "./entryDraft";
import { saidOf } from "./saidOf";
import { titleOf } from "./titleOf";
import { correctEntry } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";

/** An unsaved correction, with the version it is based on. */
interface KeptCorrection {
  version: number;
  draft: EntryDraft;
}

/** Corrects an entry: what is changed is kept on the device until it is saved, or queued while the server is away. */
export function useCorrection(entry: LogEntry) {
  const queries = useQueryClient();
  const notice = useNotice();
  const { queue, writer } = useLogQueue();
  const kept = useKept<KeptCorrection>(`entry ${entry.id}`);
  // A correction of an older version does not overwrite another coach's correction.
  const [restored, setRestored] = useState(() => {
    const found = kept.read();
    return found?.version === entry.version ? found.draft : null;
  });
  const [draft, setDraft] = useState<EntryDraft>(() => restored ?? draftOf(entry));
  const [error, setError] = useState<unknown>(null);
  const [saves, setSaves] = useState(false);
  const change = (part: Partial<EntryDraft>) =>
    setDraft((now) => {
      const next = { ...now, ...part };
      kept.write({ version: entry.version, draft: next });
      return next;
    });
  const discard = () => {
    kept.forget();
    setRestored(null);
    setDraft(draftOf(entry));
  };
  const isChanged = JSON.stringify(requestOf(draft, null)) !== JSON.stringify(requestOf(draftOf(entry), null));

  const save = async () => {
    const body = requestOf(draft, null);
    setSaves(true);
    setError(null);
    try {
      const saved = await correctEntry(entry.id, entry.version, body);
      kept.forget();
      const before = { ...draftOf(entry), combinations: entry.run === null ? saidOf(entry) : null };
      queries.setQueryData(
        server.queryOptions("get", "/api/logbook/entries/{id}", { params: { path: { id: entry.id } } }).queryKey,
        saved,
      );
      logbookChanged(queries);
      notice.undo(t`Saved.`, () => {
        void correctEntry(saved.id, saved.version, requestOf(before, null))
          .then(() => logbookChanged(queries))
          .catch(notice.failed);
      });
    } catch (failed) {
      if (isAway(failed)) {
        kept.forget();
        const corrects = { id: entry.id, version: entry.version };
        queue.add({ key: `correct-${entry.id}`, corrects, writer, title: titleOf(draft.name, draft.day), body });
        notice.done(t`Saved on this device. It is sent when the server is back.`);
      } else {
        setError(failed);
      }
    } finally {
      setSaves(false);
    }
  };
  return {
    draft,
    change,
    discard,
    save: () => void save(),
    isChanged,
    isSaving: saves,
    /** Whether the draft is from an earlier visit. */
    isRestored: restored !== null,
    error,
  };
}
