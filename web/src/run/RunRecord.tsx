import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import type { Run } from "../api/client";
import { useMay } from "../api/session";
import { ConfirmDialog } from "../ui/ConfirmDialog";
import { Failure } from "../ui/Failure";
import { Loading } from "../ui/Loading";
import { dayAndTime, timeWithSeconds } from "../ui/words";
import { useRemoveRun, useRunRecord } from "./useRuns";

const COMMANDS: Record<string, string> = {
  pause: "paused",
  resume: t`resumed`,
  jump: "jumped",
  longer: t`added a minute`,
  swap: t`swapped a combination`,
  again: t`repeated the round`,
  end: t`ended it`,
};

/** What was really shown and done in an ended session. */
export function RunRecord({ run }: { run: Run }) {
  const record = useRunRecord(run.id, true);
  if (record.isPending) {
    return <Loading what={t`Loading the record`} />;
  }
  if (record.isError) {
    return <Failure error={record.error} />;
  }
  const { shown, commands } = record.data;
  const lines = together([
    ...shown
      .filter((one) => one.stands)
      .map((one) => ({
        atMs: one.atMs,
        text: one.text ?? "",
        by: "",
        calls: one.kind === "call" || one.kind === "last-call" ? String(one.track) : null,
      })),
    ...commands.map((one) => ({
      atMs: one.atMs,
      text: `${COMMANDS[one.kind] ?? one.kind}${one.chain ? `: ${one.chain}` : ""}`,
      by: one.by,
      calls: null,
    })),
  ]);
  return (
    <section className="panel block" aria-label={t`What was shown`}>
      <h2>
        <Trans>What was shown</Trans>
      </h2>
      <p className="small">
        <Trans>
          Started {dayAndTime(run.startedAt)} by {run.starter.name}. {shown.length} cues were shown
          {shown.length === 0 ? t`; no wall has reported anything.` : "."}{" "}
        </Trans>
        {run.isRehearsal ? (
          t`A rehearsal is not logged.`
        ) : (
          <Link to="/logbook?unchecked=true">
            <Trans>Open it in the logbook</Trans>
          </Link>
        )}
      </p>
      <ol className="record">
        {lines.map((line, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two lines may say the same at the same time
          <li key={at} className={line.by ? "record-press" : ""}>
            <time>{timeWithSeconds(line.atMs)}</time> {line.by && <b>{line.by}</b>} {line.text}
          </li>
        ))}
      </ol>
      <DeleteRun run={run} />
    </section>
  );
}

/** Deletes the record to make room; the logbook keeps its entry. */
function DeleteRun({ run }: { run: Run }) {
  const mayDelete = useMay("MANAGE_LOGBOOK");
  const navigate = useNavigate();
  const [asks, setAsks] = useState(false);
  const remove = useRemoveRun(() => navigate("/run", { replace: true }));
  return (
    mayDelete && (
      <>
        <Failure error={remove.error} />
        <Button size="small" className="record-delete" loading={remove.isPending} onClick={() => setAsks(true)}>
          <Trans>Delete what was shown</Trans>
        </Button>
        <ConfirmDialog
          isOpen={asks}
          title={t`Delete what was shown?`}
          action={t`Delete`}
          isDangerous
          onConfirm={() => {
            setAsks(false);
            remove.mutate(run.id);
          }}
          onClose={() => setAsks(false)}
        >
          <Trans>It is deleted for good. Its entry in the logbook stays.</Trans>
        </ConfirmDialog>
      </>
    )
  );
}

interface Line {
  atMs: number;
  text: string;
  by: string;
  /** The track, for calls. */
  calls: string | null;
}

/** In order; consecutive calls of one track share a line. */
function together(lines: Line[]): Line[] {
  const rows: Line[] = [];
  for (const line of lines.sort((one, other) => one.atMs - other.atMs)) {
    const last = rows.at(-1);
    if (last && line.calls !== null && last.calls === line.calls) {
      last.text += ` · ${line.text}`;
    } else {
      rows.push({ ...line, text: line.calls === null ? line.text : `called: ${line.text}` });
    }
  }
  return rows;
}
