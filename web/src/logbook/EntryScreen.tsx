import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Button, Input } from "antd";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { bounds } from "../api/bounds";
import { isAway, type LogEntry } from "../api/client";
import { keys, logbookChanged } from "../api/keys";
import { Failure, NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Trail } from "../ui/Trail";
import { useKept } from "../ui/useKept";
import { useNotice } from "../ui/useNotice";
import { DrilledList } from "./DrilledList";
import { EntryFields } from "./EntryFields";
import { draftOf, type EntryDraft, requestOf, toggled } from "./entryDraft";
import { SaidCombinations } from "./SaidCombinations";
import { titleOf } from "./titleOf";
import { correctEntry, useDeleteEntry, useLogEntry } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";
import "./logbook.css";

/** An unsaved correction, with the version it is based on. */
interface KeptCorrection {
  version: number;
  draft: EntryDraft;
}

/** A logbook entry that a coach can correct. */
export default function EntryScreen() {
  const id = Number(useParams().id);
  const entry = useLogEntry(id);
  if (entry.isPending) {
    return <Loading what={t`Loading the entry`} />;
  }
  if (entry.isError) {
    return (
      <NoPage error={entry.error}>
        <Link to="/logbook">
          <Trans>Go to the logbook</Trans>
        </Link>
      </NoPage>
    );
  }
  return <Entry key={`${entry.data.id} ${entry.data.version}`} entry={entry.data} />;
}

function Entry({ entry }: { entry: LogEntry }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const notice = useNotice();
  const shelve = useDeleteEntry();
  const { queue, waiting, writer } = useLogQueue();
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
  const waits = waiting.find(({ corrects }) => corrects?.id === entry.id);
  const title = titleOf(draft.name, draft.day);

  const save = async (what: EntryDraft) => {
    const body = requestOf(what, null);
    setSaves(true);
    setError(null);
    try {
      const saved = await correctEntry(entry.id, entry.version, body);
      kept.forget();
      const before = { ...draftOf(entry), combinations: entry.run === null ? saidOf(entry) : null };
      queries.setQueryData(keys.logEntry(entry.id), saved);
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
        queue.add({ key: `correct-${entry.id}`, corrects, writer, title, body });
        notice.done(t`Saved on this device. It is sent when the server is back.`);
      } else {
        setError(failed);
      }
    } finally {
      setSaves(false);
    }
  };
  const put = (restore: boolean) =>
    shelve.mutate(
      { entry, restore },
      {
        onSuccess: (now) => {
          if (!restore) {
            notice.undo(t`Deleted from the logbook.`, () => shelve.mutate({ entry: now, restore: true }));
            void navigate("/logbook");
          }
        },
        onError: notice.failed,
      },
    );
  return (
    <main className="page page-entry">
      <Trail to="/logbook" place={t`Logbook`} name={title} />
      <header className="page-head">
        <h1>{title}</h1>
        <span className="page-actions">
          {entry.run !== null && (
            <Link className="log-entry-record" to={`/run/${entry.run}`}>
              <Trans>What the walls showed</Trans>
            </Link>
          )}
          <Button onClick={() => put(entry.removed)} loading={shelve.isPending}>
            {entry.removed ? t`Restore` : t`Delete`}
          </Button>
        </span>
      </header>
      {entry.removed && (
        <p className="log-removed">
          <Trans>Deleted: it counts in no report until it is restored.</Trans>
        </p>
      )}
      {!entry.isChecked && !entry.removed && (
        <p className="log-entry-new" role="note">
          <Trans>The walls logged it. Add who was there and what fell apart, or confirm it. </Trans>
          <Button size="small" onClick={() => save(draft)} loading={saves}>
            <Trans>Confirm</Trans>
          </Button>
        </p>
      )}
      {waits && (
        <p className="changed-meanwhile" role="status">
          {waits.refused ?? t`A correction waits on this device until the server is back.`}{" "}
          <Button size="small" onClick={() => queue.drop(waits.key)}>
            <Trans>Without it</Trans>
          </Button>
        </p>
      )}
      {restored && isChanged && (
        <p className="changed-meanwhile" role="status">
          <Trans>This is what you were changing before you left; it is not saved yet. </Trans>
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
              <Trans>Name</Trans>
            </span>
            <Input
              aria-label={t`Name`}
              value={draft.name}
              {...bounds("EntryRequest", "name")}
              onChange={(event) => change({ name: event.target.value })}
            />
          </div>
          <Failure
            error={error}
            more={
              <Link to={`/logbook/${entry.id}`}>
                <Trans>Load the newest</Trans>
              </Link>
            }
          />
          <div className="log-entry-actions">
            <Button type="primary" size="large" disabled={!isChanged} loading={saves} onClick={() => save(draft)}>
              <Trans>Save</Trans>
            </Button>
            {isChanged && (
              <Button size="large" onClick={discard}>
                <Trans>Undo changes</Trans>
              </Button>
            )}
          </div>
        </section>
        <section aria-label={t`What was drilled`} className="log-entry-drilled">
          <h2>
            <Trans>What was drilled</Trans>
          </h2>
          <p className="small">
            <Trans>
              {Math.round(entry.workMs / 60_000)} minutes of work. Touch the link that fell apart, on the line or below
              it.
            </Trans>
          </p>
          {entry.drilled.length === 0 && draft.combinations === null && (
            <p className="panel empty">
              <Trans>No combination: free work, or a round timer.</Trans>
            </p>
          )}
          <DrilledList
            drilled={entry.drilled}
            fallen={draft.fallen}
            onToggle={(chain, link) => change({ fallen: toggled(draft.fallen, chain, link) })}
          />
          {entry.run === null &&
            (draft.combinations === null ? (
              <Button onClick={() => change({ combinations: saidOf(entry) })}>
                <Trans>Change what was drilled</Trans>
              </Button>
            ) : (
              <div className="panel block">
                <SaidCombinations
                  combinations={draft.combinations}
                  onChange={(combinations) => change({ combinations })}
                />
              </div>
            ))}
        </section>
      </div>
    </main>
  );
}

/** Returns the drilled combinations in the form of an entry by hand. */
function saidOf(entry: LogEntry): NonNullable<EntryDraft["combinations"]> {
  return entry.drilled.flatMap(({ id, name, text, ms, otherMs }) =>
    id === null
      ? []
      : [
          {
            id,
            name,
            text,
            minutes: Math.round(ms / 6000) / 10,
            stance: otherMs === 0 ? ("own" as const) : otherMs >= ms ? ("other" as const) : ("both" as const),
          },
        ],
  );
}
