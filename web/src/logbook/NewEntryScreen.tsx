import { useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useMemo, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { isAway } from "../api/client";
import { logbookChanged } from "../api/keys";
import { newId } from "../api/newId";
import { useCourses } from "../api/useCourses";
import { Failure } from "../ui/Failure";
import { LogNav } from "../ui/LogNav";
import { useNotice } from "../ui/useNotice";
import { todayInGym } from "../ui/words";
import { EntryFields } from "./EntryFields";
import { type EntryDraft, emptyDraft, requestOf } from "./entryDraft";
import { SaidCombinations } from "./SaidCombinations";
import { titleOf } from "./titleOf";
import { writeEntry } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";
import "./logbook.css";

/** A session logged by hand: today's, or one of past weeks. */
export default function NewEntryScreen() {
  const [address] = useSearchParams();
  const course = Number(address.get("course")) || null;
  const [draft, setDraft] = useState<EntryDraft>(() => emptyDraft(todayInGym(), course));
  const [error, setError] = useState<unknown>(null);
  const [sends, setSends] = useState(false);
  // Chosen once: the same press sent twice is one entry.
  const id = useMemo(newId, []);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  const { queue } = useLogQueue();
  const courses = useCourses().data ?? [];
  const change = (part: Partial<EntryDraft>) => setDraft((now) => ({ ...now, ...part }));
  const save = async () => {
    const body = requestOf(draft, id);
    setSends(true);
    try {
      const made = await writeEntry(body);
      logbookChanged(queries);
      await navigate(`/logbook/${made.id}`, { replace: true });
    } catch (failed) {
      if (isAway(failed)) {
        const name = draft.name || courses.find((one) => one.id === draft.course)?.name || "Session";
        queue.add({ key: id, corrects: null, title: titleOf(name, draft.day), body });
        notice.done("Kept on this device. It is sent when the server is back.");
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
      <h1>Log a session</h1>
      <div className="log-entry-grid">
        <section className="panel block stack" aria-label="About it">
          <EntryFields draft={draft} onChange={change} />
          <div className="log-entry-note">
            <span>Name, where the course does not say enough</span>
            <Input
              aria-label="Name"
              value={draft.name}
              maxLength={120}
              onChange={(event) => change({ name: event.target.value })}
            />
          </div>
        </section>
        <section className="panel block log-entry-drilled" aria-label="What was drilled">
          <h2>What was drilled</h2>
          <SaidCombinations
            combinations={draft.combinations ?? []}
            onChange={(combinations) => change({ combinations })}
          />
          <Failure error={error} />
          <div className="log-entry-actions">
            <Button type="primary" size="large" loading={sends} onClick={save}>
              Log it
            </Button>
            <Button size="large" onClick={() => navigate(-1)}>
              Cancel
            </Button>
          </div>
          <p className="small">Which link fell apart is touched on the line, once it is logged.</p>
        </section>
      </div>
    </main>
  );
}
