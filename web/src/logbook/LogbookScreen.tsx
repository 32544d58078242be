import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox, Flex, Select } from "antd";
import { useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { answered, api, type LogImport, type LogRow } from "../api/client";
import { logbookChanged } from "../api/keys";
import { useMay } from "../api/session";
import { useCourses } from "../api/useCourses";
import { ExportMenu } from "../ui/ExportMenu";
import { Loaded } from "../ui/Loaded";
import { LogNav } from "../ui/LogNav";
import { Pages } from "../ui/Pages";
import { useNotice } from "../ui/useNotice";
import { PlannedSessions } from "./PlannedSessions";
import { type LogFilters, useLogPage } from "./useLogbook";
import { useLogQueue } from "./useLogQueue";
import "./logbook.css";

/** Lists the sessions that took place, newest first. */
export default function LogbookScreen() {
  const { filters, put, onPage } = useLogFilters();
  const log = useLogPage(filters);
  const entries = log.data?.entries ?? [];
  const isFiltered = filters.course !== undefined || filters.unchecked === true || filters.removed === true;
  return (
    <main className="page">
      <LogNav />
      <LogHead filters={filters} unchecked={log.data?.unchecked ?? 0} onPut={put} />
      <WaitingEntries />
      {!isFiltered && <PlannedSessions />}
      <Loaded query={log} what={t`Loading the logbook`} />
      {log.data && entries.length === 0 && (
        <div className="panel empty">
          <h2>{isFiltered ? t`Nothing fits` : t`Nothing is logged yet`}</h2>
          <p>
            {isFiltered
              ? t`Choose all courses, or take the ticks away.`
              : t`A session that runs on the walls comes in by itself when it ends. Log a session by hand if it ran without them.`}
          </p>
        </div>
      )}
      {entries.length > 0 && (
        <ul className="log-list">
          {entries.map((entry) => (
            <Row key={entry.id} entry={entry} />
          ))}
        </ul>
      )}
      {log.data && <Pages page={filters.page} size={log.data.size} total={log.data.total} onPage={onPage} />}
    </main>
  );
}

/** Returns the filters of the logbook, which are in the address, with functions to change them. */
function useLogFilters() {
  const [address, setAddress] = useSearchParams();
  const filters: LogFilters = { page: Number(address.get("page")) || 1 };
  const course = Number(address.get("course"));
  if (course > 0) {
    filters.course = course;
  }
  for (const name of ["unchecked", "removed"] as const) {
    if (address.get(name)) {
      filters[name] = true;
    }
  }
  const put = (name: string, value: string | null) =>
    setAddress(
      (now) => {
        now.delete("page");
        if (value === null) {
          now.delete(name);
        } else {
          now.set(name, value);
        }
        return now;
      },
      { replace: true, preventScrollReset: true },
    );
  const onPage = (page: number) =>
    setAddress((now) => {
      now.set("page", String(page));
      return now;
    });
  return { filters, put, onPage };
}

interface HeadProps {
  filters: LogFilters;
  /** The number of entries that were not reviewed yet. */
  unchecked: number;
  onPut: (name: string, value: string | null) => void;
}

function LogHead({ filters, unchecked, onPut }: HeadProps) {
  const navigate = useNavigate();
  const courses = useCourses().data ?? [];
  return (
    <Flex component="header" wrap align="baseline" gap="var(--space-3) var(--space-8)" className="page-head">
      <h1>
        <Trans>Logbook</Trans>
      </h1>
      <Select
        value={filters.course ?? 0}
        onChange={(id) => onPut("course", id === 0 ? null : String(id))}
        aria-label={t`Course`}
        popupMatchSelectWidth={false}
        options={[{ value: 0, label: t`all courses` }, ...courses.map(({ id, name }) => ({ value: id, label: name }))]}
      />
      <Checkbox
        checked={filters.unchecked === true}
        onChange={(event) => onPut("unchecked", event.target.checked ? "true" : null)}
      >
        <Trans>not reviewed{unchecked > 0 ? ` (${unchecked})` : ""}</Trans>
      </Checkbox>
      <Checkbox
        checked={filters.removed === true}
        onChange={(event) => onPut("removed", event.target.checked ? "true" : null)}
      >
        <Trans>deleted</Trans>
      </Checkbox>
      <Flex component="span" wrap gap="small" className="page-actions">
        <Files />
        <Button
          type="primary"
          onClick={() => navigate(filters.course ? `/logbook/new?course=${filters.course}` : "/logbook/new")}
        >
          <Trans>Log a session</Trans>
        </Button>
      </Flex>
    </Flex>
  );
}

function Row({ entry }: { entry: LogRow }) {
  const athletes =
    entry.orthodox === null && entry.southpaw === null ? null : (entry.orthodox ?? 0) + (entry.southpaw ?? 0);
  const day = new Date(`${entry.day}T12:00:00`);
  return (
    <li className={`panel log-row${entry.isChecked ? "" : " log-new"}`}>
      <time dateTime={entry.day}>
        <b>{day.getDate()}</b>
        {day.toLocaleDateString("en-GB", { month: "short" })}
        <small>{day.toLocaleDateString("en-GB", { weekday: "short" })}</small>
      </time>
      <div>
        <Link to={`/logbook/${entry.id}`} className="log-name">
          {entry.name}
        </Link>
        {!entry.isChecked && (
          <span className="tag">
            <Trans>came in by itself</Trans>
          </span>
        )}
        <p className="small">
          {[entry.course && entry.course.name !== entry.name ? entry.course.name : null, entry.coach.name]
            .filter(Boolean)
            .join(" · ")}
        </p>
        <p>{entry.combinations.length > 0 ? entry.combinations.join(", ") : t`free work`}</p>
        {entry.note && <p className="log-note">{entry.note}</p>}
      </div>
      <dl>
        <div>
          <dt>
            <Trans>work</Trans>
          </dt>
          <dd>
            <Trans>{Math.round(entry.workMs / 60_000)} min</Trans>
          </dd>
        </div>
        <div>
          <dt>
            <Trans>athletes</Trans>
          </dt>
          <dd>{athletes ?? "–"}</dd>
        </div>
        <div>
          <dt>
            <Trans>felt</Trans>
          </dt>
          <dd>{entry.effort ?? "–"}</dd>
        </div>
        <div className={entry.fallen > 0 ? "log-fell" : ""}>
          <dt>
            <Trans>fell apart</Trans>
          </dt>
          <dd>{entry.fallen}</dd>
        </div>
      </dl>
    </li>
  );
}

/** Entries on this device that wait for the server, or that it has refused. */
function WaitingEntries() {
  const { waiting, queue, writer } = useLogQueue();
  if (waiting.length === 0) {
    return null;
  }
  return (
    <section className="panel block log-waiting" aria-label={t`Waiting on this device`}>
      <h2>
        <Trans>Waiting on this device</Trans>
      </h2>
      <ul>
        {waiting.map((entry) => (
          <li key={entry.key}>
            <b>{entry.title}</b>{" "}
            {entry.writer === null ? (
              <>
                <Trans>was written on this device by an unknown coach. </Trans>
                <Button size="small" onClick={() => queue.add({ ...entry, writer })}>
                  <Trans>It is mine: send it</Trans>
                </Button>{" "}
                <Button size="small" onClick={() => queue.drop(entry.key)}>
                  <Trans>Discard</Trans>
                </Button>
              </>
            ) : entry.refused === null ? (
              t`is sent when the server is back.`
            ) : (
              <>
                <span className="log-refused">{entry.refused}</span>{" "}
                {entry.corrects && (
                  <Link to={`/logbook/${entry.corrects.id}`}>
                    <Trans>Review it</Trans>
                  </Link>
                )}{" "}
                <Button size="small" onClick={() => queue.drop(entry.key)}>
                  <Trans>Without it</Trans>
                </Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Exports and imports the logbook. */
function Files() {
  const mayImport = useMay("MANAGE_LOGBOOK");
  const queries = useQueryClient();
  const notice = useNotice();
  const input = useRef<HTMLInputElement>(null);
  const [taken, setTaken] = useState<{ done: number; total: number } | null>(null);
  const take = useMutation({
    mutationFn: async (file: File) => {
      const body = await file.text();
      const sum = { new: 0, known: 0 };
      // In steps; an interrupted import can be repeated without duplicates.
      for (let from: number | null = 0; from !== null; ) {
        const done: LogImport = await answered(
          api.POST("/api/logbook/import", {
            params: { query: { from } },
            body,
            bodySerializer: (text) => text as string,
            headers: { "Content-Type": "text/plain" },
          }),
        );
        sum.new += done.new;
        sum.known += done.known;
        from = done.next;
        setTaken({ done: from ?? done.total, total: done.total });
      }
      return sum;
    },
    onSettled: () => setTaken(null),
    onSuccess: (done) => {
      logbookChanged(queries);
      notice.done(
        t`${plural(done.new, { one: "# session", other: "# sessions" })} imported; ${plural(done.known, { one: "# was", other: "# were" })} there already.`,
      );
    },
    onError: notice.failed,
  });
  return (
    <>
      <ExportMenu
        items={[
          { label: t`JSON: contains everything`, to: "/api/logbook/logbook.json" },
          { label: t`CSV: for a spreadsheet`, to: "/api/logbook/logbook.csv" },
        ]}
      />
      {mayImport && (
        <>
          <input
            ref={input}
            type="file"
            accept=".json,.csv"
            className="log-file"
            tabIndex={-1}
            aria-label={t`A logbook as a file`}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) {
                take.mutate(file);
              }
              event.target.value = "";
            }}
          />
          <Button loading={take.isPending} onClick={() => input.current?.click()}>
            <Trans>Import</Trans>
          </Button>
          {taken && (
            <span className="small" role="status">
              <Trans>
                {taken.done} of {taken.total} sessions
              </Trans>
            </span>
          )}
        </>
      )}
    </>
  );
}
