import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import type { Import, ImportLine, ImportLineRequest, NumberingId, Stance } from "../api/client";
import { Pages } from "../ui/Pages";
import { Segmented } from "../ui/Segmented";
import { EditLine } from "./EditLine";
import { choicesOf, KINDS } from "./kinds";
import { useEditLine, useImportLines } from "./useImport";

interface Props {
  state: Import;
  /** The numbering and stance for everything that the file does not say. */
  given: { numbering: NumberingId; stance: Stance };
  onState: (state: Import) => void;
}

/** Lists what each entry of the file would do, or did; before the import each can be edited or skipped. */
export function ImportLines({ state, given, onState }: Props) {
  const [chosen, setKind] = useState("");
  const [page, setPage] = useState(1);
  const choices = choicesOf(state);
  // When the last entry of the chosen kind is corrected, all are shown.
  const kind = choices.some((choice) => choice.value === chosen) ? chosen : "";
  const lines = useImportLines(state, kind, page);
  const [edited, setEdited] = useState<number | null>(null);
  const edit = useEditLine(state.id);
  const change = (entry: number, body: Omit<ImportLineRequest, "entry">) =>
    edit.mutate(
      { entry, ...body },
      {
        onSuccess: (next) => {
          setEdited(null);
          onState(next);
        },
      },
    );
  const total = choices.find((choice) => choice.value === kind)?.count ?? 0;
  return (
    <>
      <Segmented
        value={kind}
        onChange={(value) => {
          setKind(value);
          setPage(1);
        }}
        options={choices.map(({ value, label, count }) => ({ value, label: `${label} ${count}` }))}
        aria-label={t`Which entries`}
      />
      <p className="small">
        {KINDS.find((one) => one.value === kind)?.says ?? t`Every entry of the file, in its order.`}
      </p>
      <div className="plain-scroll">
        <table className="plain-table import-lines">
          <tbody>
            {lines.data?.lines.map((line) => (
              <tr key={line.entry}>
                <td>
                  <span className={`import-kind import-${line.kind}`}>{line.kind.replace("-", " ")}</span>
                </td>
                <td>
                  {edited === line.entry ? (
                    <EditLine
                      {...given}
                      {...entryOf(line)}
                      saving={edit.isPending}
                      error={edit.error}
                      onSave={(chain, name) => change(line.entry, { chain, name })}
                      onClose={() => setEdited(null)}
                    />
                  ) : (
                    <Entry line={line} />
                  )}
                  <EntryMessage line={line} />
                </td>
                <td className="line-ways">
                  {state.state === "ready" && edited !== line.entry && (
                    <EntryButtons
                      kind={line.kind}
                      onEdit={() => {
                        edit.reset();
                        setEdited(line.entry);
                      }}
                      onLeaveOut={() => change(line.entry, { leaveOut: true })}
                      onRestore={() => change(line.entry, {})}
                    />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Pages page={page} size={lines.data?.size ?? 100} total={total} onPage={setPage} />
    </>
  );
}

/** The chain and name of an entry; for an unreadable one as written in the file. */
function entryOf({ content, written }: ImportLine): { chain: string; name: string } {
  return content ? { chain: content.text, name: content.name } : (written ?? { chain: "", name: "" });
}

/** The combination of an entry; the text of the file when it could not be read. */
function Entry({ line }: { line: ImportLine }) {
  if (!line.content) {
    return <code>{line.source}</code>;
  }
  return (
    <>
      {line.combination && line.kind !== "duplicate" ? (
        <Link to={`/combinations/${line.combination}`}>
          <b>{line.content.name}</b>
        </Link>
      ) : (
        <b>{line.content.name}</b>
      )}{" "}
      <span className="numbers">{line.content.text}</span>
    </>
  );
}

function EntryMessage({ line }: { line: ImportLine }) {
  return line.message ? (
    <small>
      {line.kind === "unreadable" && line.content ? `${line.source}: ` : ""}
      {line.message}{" "}
      {line.combination && line.kind === "duplicate" && (
        <Link to={`/combinations/${line.combination}`}>
          <Trans>open the one that is there</Trans>
        </Link>
      )}
    </small>
  ) : null;
}

interface ButtonsProps {
  kind: ImportLine["kind"];
  onEdit: () => void;
  onLeaveOut: () => void;
  onRestore: () => void;
}

/** What can be done with an entry before the import. */
function EntryButtons({ kind, onEdit, onLeaveOut, onRestore }: ButtonsProps) {
  return (
    <>
      {kind !== "left-out" && (
        <Button size="small" onClick={onEdit}>
          <Trans>Edit</Trans>
        </Button>
      )}
      {(kind === "new" || kind === "changed") && (
        <Button size="small" onClick={onLeaveOut}>
          <Trans>Leave out</Trans>
        </Button>
      )}
      {kind === "left-out" && (
        <Button size="small" onClick={onRestore}>
          <Trans>Restore</Trans>
        </Button>
      )}
    </>
  );
}
