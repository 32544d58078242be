import { isAway, type ReadingProblem, refusal } from "../api/client";
import { useReachable } from "../api/connection";
import type { Checked } from "../check/useCheck";

interface Props {
  checked: Checked;
  onCorrect: (problem: ReadingProblem, by: string) => void;
}

/** Under the entry line: what cannot be read and what is meant perhaps, why nothing is checked, or how the line was read. */
export function EntryHelp({ checked: { latest, readable, error, old }, onCorrect }: Props) {
  const reachable = useReachable();
  const [problem, ...more] = latest?.problems ?? [];
  return (
    <div id="entry-help" className="entry-help" role="status">
      {problem ? (
        <span className="entry-problem">
          {problem.message} <span className="small">Expected: {problem.expected}.</span>{" "}
          {problem.nearest.map((nearest) => (
            <button key={nearest} type="button" className="chip" onClick={() => onCorrect(problem, nearest)}>
              {nearest}
            </button>
          ))}
          {more.length > 0 && <span className="small">and {more.length} more</span>}
        </span>
      ) : old ? (
        <span className="entry-problem">
          {!reachable || isAway(error)
            ? "Not checked: no connection. What you typed is kept, and is checked as soon as the server is back."
            : error
              ? refusal(error).title
              : "Checking …"}
        </span>
      ) : latest && latest.notes.length > 0 ? (
        <span>{latest.notes.map((note) => note.message).join(" ")}</span>
      ) : (
        <span className="small">{readable?.words ?? "Numbers or words, in any mix. Press ? for the keys."}</span>
      )}
    </div>
  );
}
