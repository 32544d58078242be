import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { lazy, Suspense, useState } from "react";
import { useNavigate } from "react-router";
import type { Verdict } from "../api/client";
import { useMay } from "../api/session";
import type { Pasted } from "../ui/pasted";
import { VerdictMark } from "../ui/VerdictMark";
import { seconds, VERDICTS } from "../ui/words";
import { EntryButtons } from "./EntryButtons";
import { EntryHelp } from "./EntryHelp";
import { EntryLine, linesOf } from "./EntryLine";
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
  const [page, setPage] = useState<string | null>(null);
  const mayImport = useMay("EDIT_LIBRARY");
  const navigate = useNavigate();
  return (
    <section className="panel bench-entry">
      <EntryLine {...{ text, problems, current, entry, history }} check={latest} onPage={setPage} />
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
      {page && mayImport && text !== "" && (
        <p className="small entry-page" role="status">
          <Trans>{linesOf(page)} lines were pasted into one.</Trans>{" "}
          <button
            type="button"
            className="chip"
            onClick={() => navigate("/exchange", { state: { pasted: page } satisfies Pasted })}
          >
            <Trans>Read them line by line</Trans>
          </button>
        </p>
      )}
      <Suspense>{drill && <PlanAsDrill {...{ draft, problems, drill }} onClose={() => setDrill(null)} />}</Suspense>
    </section>
  );
}
