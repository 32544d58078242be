import type { Run } from "../api/client";
import { Failure } from "../ui/Failure";
import { Waiting } from "../ui/Waiting";
import { dayAndTime, timeWithSeconds } from "../ui/words";
import { useRunRecord } from "./useRuns";

/** Cues that say what was trained; bells and claps are not listed. */
const LISTED = new Set([
  "show",
  "switch",
  "rung",
  "step",
  "theme",
  "exercise",
  "demonstration",
  "talk",
  "side",
  "phase",
]);

const COMMANDS: Record<string, string> = {
  pause: "paused",
  resume: "went on",
  jump: "jumped",
  longer: "added a minute",
  swap: "swapped a combination",
  again: "had the round done again",
  end: "ended it",
};

/** What was really shown and done, once a session has ended. */
export function RunRecord({ run }: { run: Run }) {
  const record = useRunRecord(run.id, true);
  if (record.isPending) {
    return <Waiting what="Fetching what was shown" />;
  }
  if (record.isError) {
    return <Failure error={record.error} />;
  }
  const { shown, commands } = record.data;
  const lines = [
    ...shown
      .filter((one) => LISTED.has(one.kind ?? ""))
      .map((one) => ({ atMs: one.atMs, text: one.text ?? "", by: "" })),
    ...commands.map((one) => ({
      atMs: one.atMs,
      text: `${COMMANDS[one.kind] ?? one.kind}${one.chain ? `: ${one.chain}` : ""}`,
      by: one.by,
    })),
  ].sort((one, other) => one.atMs - other.atMs);
  return (
    <section className="panel block" aria-label="What was shown">
      <h2>What was shown</h2>
      <p className="small">
        Started {dayAndTime(run.startedAt)} by {run.starter.name}. {shown.length} cues were shown
        {shown.length === 0 ? "; no wall has reported anything." : "."}
      </p>
      <ol className="record">
        {lines.map((line, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two lines may say the same at the same time
          <li key={at} className={line.by ? "record-press" : ""}>
            <time>{timeWithSeconds(line.atMs)}</time> {line.by && <b>{line.by}</b>} {line.text}
          </li>
        ))}
      </ol>
    </section>
  );
}
