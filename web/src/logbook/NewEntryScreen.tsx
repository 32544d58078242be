import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { bounds } from "../api/bounds";
import { isAway } from "../api/client";
import { logbookChanged } from "../api/keys";
import { newId } from "../api/newId";
import { useCourses } from "../api/useCourses";
import { Failure } from "../ui/Failure";
import { LogNav } from "../ui/LogNav";
import { useKept } from "../ui/useKept";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import { EntryFields } from "./EntryFields";
import { type EntryDraft, emptyDraft, requestOf } from "./entryDraft";
import { SaidCombinations } from "./SaidCombinations";
import { titleOf } from "./titleOf";
import { writeEntry } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";
import "./logbook.css";

/** An unsaved new entry. */
interface KeptEntry {
  id: string;
  draft: EntryDraft;
}

/** Logs a session by hand, today's or an earlier one. */
export default function NewEntryScreen() {
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
  const isEmpty = (draft.combinations ?? []).length === 0 && draft.note.trim() === "";
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
  return (
    <main className="page page-entry">
      <LogNav />
      <h1>
        <Trans>Log a session</Trans>
      </h1>
      {restored && (
        <p className="changed-meanwhile" role="status">
          <Trans>This is what you were writing before you left. </Trans>
          <Button size="small" onClick={discard}>
            <Trans>Discard</Trans>
          </Button>
        </p>
      )}
      <div className="log-entry-grid">
        <section className="panel block stack" aria-label={t`About it`}>
          <EntryFields draft={draft} onChange={change} />
          <div className="log-entry-note">
            <span>
              <Trans>Name, where the course does not say enough</Trans>
            </span>
            <Input
              aria-label={t`Name`}
              value={draft.name}
              {...bounds("EntryRequest", "name")}
              onChange={(event) => change({ name: event.target.value })}
            />
          </div>
        </section>
        <section className="panel block log-entry-drilled" aria-label={t`What was drilled`}>
          <h2>
            <Trans>What was drilled</Trans>
          </h2>
          <SaidCombinations
            combinations={draft.combinations ?? []}
            onChange={(combinations) => change({ combinations })}
          />
          <Failure error={error} />
          <div className="log-entry-actions">
            <Button type="primary" size="large" loading={sends} disabled={isEmpty} onClick={save}>
              <Trans>Log it</Trans>
            </Button>
            <Button
              size="large"
              onClick={() => {
                kept.forget();
                void navigate(-1);
              }}
            >
              <Trans>Cancel</Trans>
            </Button>
          </div>
          {isEmpty && (
            <p className="small">
              <Trans>Add a combination, or a note on what you did.</Trans>
            </p>
          )}
          <p className="small">
            <Trans>Once it is logged, touch the link that fell apart on the line.</Trans>
          </p>
        </section>
      </div>
    </main>
  );
}
