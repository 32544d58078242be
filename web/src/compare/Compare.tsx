import type { Check, Stance } from "../api/client";
import { CombinationLine } from "../combination-line/CombinationLine";
import { beforeContact } from "../combination-line/sentences";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds } from "../ui/words";
import { difference } from "./difference";
import "./compare.css";

export interface Side {
  title: string;
  check: Check;
  /** Whose left and right are written under the line. */
  stance: Stance;
}

/** Two chains one above the other on one axis of time; what only one of them has is underlined. */
export function Compare({ first, second }: { first: Side; second: Side }) {
  const span = Math.max(first.check.lengthMs ?? 0, second.check.lengthMs ?? 0);
  const marks = difference(first.check.items, second.check.items);
  const length = (second.check.lengthMs ?? 0) - (first.check.lengthMs ?? 0);
  const wait = (second.check.waitMs ?? 0) - (first.check.waitMs ?? 0);
  return (
    <div className="compare">
      {[first, second].map((side, at) => (
        <section key={side.title} aria-label={side.title}>
          <h3>
            {side.title} <span className="compare-text">{side.check.text}</span>
            {side.check.verdict && <VerdictMark verdict={side.check.verdict} />}
            <small>{seconds(side.check.lengthMs ?? 0)}</small>
          </h3>
          {side.check.drawings?.card && (
            <CombinationLine
              drawing={side.check.drawings.card}
              spanMs={span}
              marked={marks[at as 0 | 1]}
              name={`Combination line, ${side.title}: ${side.check.text}`}
            />
          )}
          <Words side={side} />
        </section>
      ))}
      <p className="compare-sum">
        {change(length, "shorter", "longer", "As long as before")};{" "}
        {change(wait, "less", "more", "as much", " waiting")}.
      </p>
    </div>
  );
}

/** Left and right written out, with what each meets on the opponent. */
function Words({ side }: { side: Side }) {
  const shownStance = side.check.stances?.[side.stance];
  return shownStance ? (
    <p className="compare-words">
      <b>{side.stance}</b>{" "}
      {shownStance.words
        .map((words, at) => {
          const contacts = shownStance.contacts[at] ?? [];
          return [beforeContact(words, contacts), ...contacts].join(" ");
        })
        .join(" · ")}
    </p>
  ) : null;
}

function change(ms: number, less: string, more: string, same: string, what = ""): string {
  return ms === 0 ? same + what : `${seconds(Math.abs(ms))} ${ms < 0 ? less : more}${what}`;
}
