import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input } from "antd";
import { Link, useNavigate, useParams } from "react-router";
import { bounds } from "../api/bounds";
import type { LogEntry } from "../api/client";
import { Failure, NoPage } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { Trail } from "../ui/Trail";
import { useNotice } from "../ui/useNotice";
import { DrilledList } from "./DrilledList";
import { EntryFields } from "./EntryFields";
import { type EntryDraft, toggled, withFault } from "./entryDraft";
import { SaidCombinations } from "./SaidCombinations";
import { saidOf } from "./saidOf";
import { titleOf } from "./titleOf";
import { useCorrection } from "./useCorrection";
import { useDeleteEntry, useLogEntry } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";
import "./logbook.css";

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
  const navigate = useNavigate();
  const notice = useNotice();
  const shelve = useDeleteEntry();
  const correction = useCorrection(entry);
  const { draft, change } = correction;
  const title = titleOf(draft.name, draft.day);
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
      <Flex component="header" wrap align="baseline" gap="var(--space-3) var(--space-8)" className="page-head">
        <h1>{title}</h1>
        <Flex component="span" wrap gap="small" className="page-actions">
          {entry.run !== null && (
            <Link className="log-entry-record" to={`/run/${entry.run}`}>
              <Trans>What the walls showed</Trans>
            </Link>
          )}
          <Button onClick={() => put(entry.removed)} loading={shelve.isPending}>
            {entry.removed ? t`Restore` : t`Delete`}
          </Button>
        </Flex>
      </Flex>
      <EntryNotices entry={entry} correction={correction} />
      <div className="log-entry-grid">
        <About entry={entry} correction={correction} />
        <Drilled entry={entry} draft={draft} onChange={change} />
      </div>
    </main>
  );
}

type Correction = ReturnType<typeof useCorrection>;

/** What a coach should know of an entry before changing it. */
function EntryNotices({ entry, correction }: { entry: LogEntry; correction: Correction }) {
  const { queue, waiting } = useLogQueue();
  const waits = waiting.find(({ corrects }) => corrects?.id === entry.id);
  return (
    <>
      {entry.removed && (
        <p className="log-removed">
          <Trans>Deleted: it counts in no report until it is restored.</Trans>
        </p>
      )}
      {!entry.isChecked && !entry.removed && (
        <p className="log-entry-new" role="note">
          <Trans>The walls logged it. Add who was there and what fell apart, or confirm it. </Trans>
          <Button size="small" onClick={correction.save} loading={correction.isSaving}>
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
      {correction.isRestored && correction.isChanged && (
        <p className="changed-meanwhile" role="status">
          <Trans>This is what you were changing before you left; it is not saved yet. </Trans>
          <Button size="small" onClick={correction.discard}>
            <Trans>Discard</Trans>
          </Button>
        </p>
      )}
    </>
  );
}

function About({ entry, correction }: { entry: LogEntry; correction: Correction }) {
  const { draft, change } = correction;
  return (
    <Flex component="section" vertical gap="small" className="panel block form-narrow" aria-label={t`About it`}>
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
        error={correction.error}
        more={
          <Link to={`/logbook/${entry.id}`}>
            <Trans>Load the newest</Trans>
          </Link>
        }
      />
      <Flex wrap gap="small">
        <Button
          type="primary"
          size="large"
          disabled={!correction.isChanged}
          loading={correction.isSaving}
          onClick={correction.save}
        >
          <Trans>Save</Trans>
        </Button>
        {correction.isChanged && (
          <Button size="large" onClick={correction.discard}>
            <Trans>Undo changes</Trans>
          </Button>
        )}
      </Flex>
    </Flex>
  );
}

interface DrilledProps {
  entry: LogEntry;
  draft: EntryDraft;
  onChange: (part: Partial<EntryDraft>) => void;
}

/** What was drilled, with the links that fell apart. */
function Drilled({ entry, draft, onChange }: DrilledProps) {
  return (
    <Flex component="section" vertical gap="small" aria-label={t`What was drilled`} className="log-entry-drilled">
      <h2>
        <Trans>What was drilled</Trans>
      </h2>
      <p className="small">
        <Trans>
          {Math.round(entry.workMs / 60_000)} minutes of work. Touch the link that fell apart, on the line or below it.
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
        onToggle={(chain, link) => onChange({ fallen: toggled(draft.fallen, chain, link) })}
        onFault={(chain, link, fault) => onChange({ fallen: withFault(draft.fallen, chain, link, fault) })}
      />
      {entry.run === null &&
        (draft.combinations === null ? (
          <Button onClick={() => onChange({ combinations: saidOf(entry) })}>
            <Trans>Change what was drilled</Trans>
          </Button>
        ) : (
          <div className="panel block">
            <SaidCombinations
              combinations={draft.combinations}
              onChange={(combinations) => onChange({ combinations })}
            />
          </div>
        ))}
    </Flex>
  );
}
