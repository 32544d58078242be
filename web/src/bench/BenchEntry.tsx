import { t } from "@lingui/core/macro";
import { lazy, Suspense, useState } from "react";
import type { Verdict } from "../api/client";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds, VERDICTS } from "../ui/words";
import { EntryButtons } from "./EntryButtons";
import { EntryHelp } from "./EntryHelp";
import { EntryLine } from "./EntryLine";
import type { BenchWork } from "./useBench";
import type { BenchActions } from "./useBenchActions";

const PlanAsDrill = lazy(() => import("./PlanAsDrill"));

/** Returns the verdict that a screen reader announces when the typing pauses. */
function spokenVerdict(verdict: Verdict, lengthMs: number): string {
  return t`Verdict: ${VERDICTS[verdict].word}, ${seconds(lengthMs)}.`;
}

interface Props {
  bench: BenchWork;
  actions: BenchActions;
  isNew: boolean;
}

/** The line that is typed, its verdict, and what is wrong with it. */
export function BenchEntry({ bench, actions, isNew }: Props) {
  const { draft, history, checked, entry, saving, problems, settled, resting, isOld } = bench;
  const { text } = draft;
  const { latest, readable, current } = checked;
  const [drill, setDrill] = useState<string | null>(null);
  return (
    <section className="panel bench-entry">
      <EntryLine {...{ text, problems, current, entry, history }} check={latest} />
      <EntryButtons
        history={history}
        doing={saving.doing}
        onClear={isNew ? actions.onClear : undefined}
        isEmpty={text.trim() === ""}
        onCopy={actions.onCopy}
        onSave={saving.open}
      />
      {readable?.verdict && (
        <span className={isOld ? "entry-verdict entry-verdict-old" : "entry-verdict"}>
          <VerdictMark verdict={readable.verdict} />
        </span>
      )}
      <span className="unseen" role="status">
        {resting && settled && readable?.verdict ? spokenVerdict(readable.verdict, readable.lengthMs ?? 0) : ""}
      </span>
      <EntryHelp
        {...{ checked, problems }}
        isUnfinished={bench.wordBeingTyped !== null}
        onCorrect={entry.correct}
        onPlan={setDrill}
      />
      <Suspense>{drill && <PlanAsDrill {...{ draft, problems, drill }} onClose={() => setDrill(null)} />}</Suspense>
    </section>
  );
}
