import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { isAway, type ReadingProblem, refusal } from "../api/client";
import { useReachable } from "../api/connection";
import type { Checked } from "../check/useCheck";
import { PassOverWord } from "../words/PassOverWord";

interface Props {
  checked: Checked;
  problems: ReadingProblem[];
  /** Whether a word is still being typed, so that it is not reported yet. */
  isUnfinished: boolean;
  onCorrect: (place: Pick<ReadingProblem, "at" | "length">, by: string) => void;
  /** Plans what belongs to a drill. */
  onPlan: (drill: string) => void;
}

/** The text under the entry line: problems with suggestions, why there is no check, or how the line was read. */
export function EntryHelp({ checked, problems, isUnfinished, onCorrect, onPlan }: Props) {
  const { latest, readable, error, old } = checked;
  const reachable = useReachable();
  // What belongs to a drill explains what else cannot be read.
  const problem = problems.find((one) => one.drill) ?? problems[0];
  const more = problems.filter((one) => one !== problem);
  const notes = latest?.notes ?? [];
  // Notes with another possible reading come first.
  const asked = notes.filter((note) => note.choices.length > 0);
  return (
    <div id="entry-help" className="entry-help" role="status">
      {problem ? (
        <span className="entry-problem">
          {problem.message}{" "}
          <span className="small">
            <Trans>Expected: {problem.expected}.</Trans>
          </span>{" "}
          {problem.nearest.map((nearest) => (
            <button key={nearest} type="button" className="chip" onClick={() => onCorrect(problem, nearest)}>
              {nearest}
            </button>
          ))}
          {problem.unknownWord && <PassOverWord word={problem.unknownWord} />}
          {problem.drill && (
            <button type="button" className="chip" onClick={() => problem.drill && onPlan(problem.drill)}>
              <Trans>Plan it as a drill</Trans>
            </button>
          )}
          {more.length > 0 && (
            <span className="small">
              <Trans>and {more.length} more</Trans>
            </span>
          )}
        </span>
      ) : old ? (
        <span className="entry-problem">
          {!reachable || isAway(error)
            ? t`Not checked: no connection. What you typed is kept, and is checked as soon as the server is back.`
            : error
              ? refusal(error).title
              : t`Checking …`}
        </span>
      ) : isUnfinished && (latest?.problems.length ?? 0) > 0 ? (
        <span className="small">…</span>
      ) : notes.length > 0 ? (
        <span>
          {asked.map((note) => (
            <span key={`${note.at} ${note.message}`} className="entry-note">
              {note.message}{" "}
              {note.choices.map((choice) => (
                <button key={choice} type="button" className="chip" onClick={() => onCorrect(note, choice)}>
                  {withoutEdges(choice)}
                </button>
              ))}
            </span>
          ))}
          <span className="small">
            {notes
              .filter((note) => note.choices.length === 0)
              .map((note) => note.message)
              .join(" ")}
          </span>
        </span>
      ) : (
        <span className="small">{readable?.words ?? t`Numbers or words, in any mix. Press ? for the keys.`}</span>
      )}
    </div>
  );
}

/** Leaves out the commas that part a choice from its neighbours in the line. */
function withoutEdges(choice: string): string {
  return choice.replace(/^, |,$/g, "");
}
