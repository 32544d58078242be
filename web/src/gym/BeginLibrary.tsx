import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Progress } from "antd";
import { useState } from "react";
import { type Import, type Rules, server, type Training } from "../api/client";
import { ImportPanel } from "../exchange/ImportPanel";
import { useApplyImport, useReadFile } from "../exchange/useImport";
import { Alert } from "../ui/Alert";
import { Failure } from "../ui/Failure";
import { Segmented } from "../ui/Segmented";
import { RULES } from "../ui/words";

type Way = "starter" | "list" | "empty";

const WAYS: { value: Way; label: string }[] = [
  { value: "starter", label: t`Starter library` },
  { value: "list", label: t`Your own list` },
  { value: "empty", label: t`Empty` },
];

interface Props {
  training: Training | null;
  onDone: () => void;
  busy: boolean;
}

/** Starts a library: with the built-in combinations, with a list of the gym, or empty. */
export function BeginLibrary({ training, onDone, busy }: Props) {
  const [way, setWay] = useState<Way>("starter");
  return (
    <>
      <h2>
        <Trans>How should your library begin?</Trans>
      </h2>
      <Segmented value={way} onChange={setWay} options={WAYS} aria-label={t`How the library begins`} />
      {way === "starter" && <Starter rules={training?.rules ?? "boxing"} onDone={onDone} busy={busy} />}
      {way === "list" && (
        <>
          <ImportPanel />
          <Button type="primary" className="setup-next" loading={busy} onClick={onDone}>
            <Trans>Go to the library</Trans>
          </Button>
        </>
      )}
      {way === "empty" && (
        <>
          <p>
            <Trans>Write each combination on the bench; every coach of the gym sees it in the library.</Trans>
          </p>
          <Button type="primary" className="setup-next" loading={busy} onClick={onDone}>
            <Trans>Start empty</Trans>
          </Button>
        </>
      )}
    </>
  );
}

function Starter({ rules: first, onDone, busy }: { rules: Rules; onDone: () => void; busy: boolean }) {
  const [rules, setRules] = useState(first);
  const [state, setState] = useState<Import | null>(null);
  const starter = server.useQuery("get", "/api/starter-library", { params: { query: { rules } } });
  const read = useReadFile(setState);
  const apply = useApplyImport();
  const total = (starter.data?.sports ?? [])
    .flatMap((sport) => Object.values(sport.levels))
    .reduce((sum, count) => sum + count, 0);
  const add = () =>
    starter.data &&
    read.mutate(
      { format: "json", content: JSON.stringify(starter.data.file), numbering: "parity", stance: "orthodox" },
      {
        onSuccess: (ready) =>
          (ready.counts.new ?? 0) === 0 ? onDone() : apply.mutate(ready.id, { onSuccess: onDone }),
      },
    );
  return (
    <>
      <p>
        <Trans>
          Combinations that most coaches teach (common practice, no source), each named after its strikes. Every one
          flows in the check under your rules. Edit, archive or undo them at any time.
        </Trans>
      </p>
      <Segmented value={rules} onChange={setRules} options={RULES} aria-label={t`Rules of the starter library`} />
      <Failure error={starter.error} onRetry={starter.refetch} />
      {starter.data && <StarterTable sports={starter.data.sports} />}
      {state?.state === "reading" && (
        <Progress
          percent={Math.round((100 * state.done) / Math.max(1, state.total))}
          aria-label={t`Checking each of them`}
        />
      )}
      <Failure error={read.error ?? apply.error} more={t`Nothing was added; try again.`} />
      {state?.state === "applied" && <Alert type="success" title={t`They are in your library.`} />}
      <Button
        type="primary"
        className="setup-next"
        disabled={!starter.data}
        loading={read.isPending || apply.isPending || busy}
        onClick={add}
      >
        <Trans>Add {total} combinations</Trans>
      </Button>
    </>
  );
}

interface TableProps {
  sports: { rules: Rules; levels: Record<string, number> }[];
}

/** How many combinations of each sport there are, by level. */
function StarterTable({ sports }: TableProps) {
  return (
    <table className="plain-table starter-table">
      <thead>
        <tr>
          <th scope="col">
            <Trans>Sport</Trans>
          </th>
          <th scope="col">
            <Trans>Level 1</Trans>
          </th>
          <th scope="col">
            <Trans>Level 2</Trans>
          </th>
          <th scope="col">
            <Trans>Level 3</Trans>
          </th>
        </tr>
      </thead>
      <tbody>
        {sports.map((sport) => (
          <tr key={sport.rules}>
            <td>{RULES.find(({ value }) => value === sport.rules)?.label}</td>
            {[1, 2, 3].map((level) => (
              <td key={level} className="numbers">
                {sport.levels[level] ?? 0}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
