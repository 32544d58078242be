import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, Progress, Select } from "antd";
import { type ChangeEvent, useState } from "react";
import { useLocation } from "react-router";
import type { Import, ImportFormat, NumberingId, Rules, Stance } from "../api/client";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { useVocabulary } from "../api/useVocabulary";
import { Alert } from "../ui/Alert";
import { Failure } from "../ui/Failure";
import type { Pasted } from "../ui/pasted";
import { Segmented } from "../ui/Segmented";
import { RULES, STANCES } from "../ui/words";
import { ImportLines } from "./ImportLines";
import { changesOf, formatOf, IMPORT_FORMATS } from "./kinds";
import { useApplyImport, useReadFile, useUndoImport } from "./useImport";

/** Imports a file or a pasted list: first a preview of each line, then all or nothing. */
export function ImportPanel() {
  const mine = useNumbering();
  const { state: sent } = useLocation() as { state: Pasted | null };
  const pasted = sent?.pasted ?? "";
  const [format, setFormat] = useState<ImportFormat>(pasted ? "notes" : "text");
  const [content, setContent] = useState(pasted);
  const [file, setFile] = useState("");
  const [chosen, setChosen] = useState<Partial<Given>>({});
  const given: Given = { numbering: mine, stance: "orthodox", rules: null, ...chosen };
  const [state, setState] = useState<Import | null>(null);
  const read = useReadFile(setState);
  const apply = useApplyImport();
  const start = () => {
    setState(null);
    apply.reset();
    read.mutate({ format, content, ...given });
  };
  const changes = changesOf(state);
  return (
    <section className="panel block" aria-label={t`Import`}>
      <h2>
        <Trans>Import</Trans>
      </h2>
      <p className="small">
        <Trans>
          Choose a file, or paste a list or a page of notes. You see what every line would do before anything is
          written; then all of it goes in, or nothing.
        </Trans>
      </p>
      <FileChoice
        file={file}
        format={format}
        onFormat={setFormat}
        onFile={(chosen) => {
          setFormat(formatOf(chosen.name));
          setFile(chosen.name);
          setState(null);
          read.reset();
          void chosen.text().then(setContent);
        }}
      />
      <Input.TextArea
        value={content}
        onChange={(event) => {
          setContent(event.target.value);
          setFile("");
        }}
        rows={7}
        aria-label={t`Text to import`}
        placeholder={t`1 2 3b exit # Cellar window
Two and one: 1 1 2`}
        className="import-text"
      />
      {format !== "json" && (
        <GivenFields given={given} onChange={(part) => setChosen((now) => ({ ...now, ...part }))} />
      )}
      <Flex wrap align="center" gap="small" className="form-row">
        <Button
          type={state?.state === "ready" ? "default" : "primary"}
          onClick={start}
          loading={read.isPending}
          disabled={content.trim() === ""}
        >
          <Trans>Preview</Trans>
        </Button>
        {state?.state === "ready" && (
          <Button
            type="primary"
            loading={apply.isPending}
            disabled={changes === 0}
            onClick={() => apply.mutate(state.id, { onSuccess: setState })}
          >
            {changes === 0
              ? t`Nothing to import`
              : t`Import ${plural(changes, { one: "# combination", other: "# combinations" })}`}
          </Button>
        )}
        {apply.isPending && (
          <span className="small">
            <Trans>Importing; this may take a while.</Trans>
          </span>
        )}
      </Flex>
      <Failure error={read.error} />
      <Failure error={apply.error} more={t`Nothing was imported; preview it again.`} />
      {state && <ImportState state={state} onState={setState} />}
      {state && state.state !== "reading" && <ImportLines state={state} given={given} onState={setState} />}
    </section>
  );
}

interface Given {
  numbering: NumberingId;
  stance: Stance;
  /** Null: inferred for each chain. */
  rules: Rules | null;
}

/** What holds for a file that does not say it itself. */
function GivenFields({ given, onChange }: { given: Given; onChange: (part: Partial<Given>) => void }) {
  const numberings = useNumberings();
  return (
    <Flex wrap align="center" gap="small" className="form-row">
      <span>
        <Trans>If the file does not say:</Trans>
      </span>
      <Select
        size="small"
        value={given.numbering}
        onChange={(numbering) => onChange({ numbering })}
        options={numberings.data?.numberings.map((one) => ({ value: one.id, label: t`${one.name} numbers` })) ?? []}
        aria-label={t`Numbering of the file`}
        style={{ minWidth: 150 }}
      />
      <Segmented
        size="small"
        value={given.stance}
        onChange={(stance) => onChange({ stance })}
        options={STANCES}
        aria-label={t`Stance of the file`}
      />
      <Select<Rules | "">
        size="small"
        value={given.rules ?? ""}
        onChange={(value) => onChange({ rules: value === "" ? null : value })}
        options={[{ value: "", label: t`inferred for each chain` }, ...RULES]}
        aria-label={t`Rules of the file`}
        style={{ minWidth: 210 }}
      />
    </Flex>
  );
}

/** How far an import is; one that is done can be undone. */
function ImportState({ state, onState }: { state: Import; onState: (state: Import) => void }) {
  const undo = useUndoImport();
  return (
    <>
      {state.state === "reading" && (
        <Progress
          percent={Math.round((100 * state.done) / Math.max(1, state.total))}
          format={() => t`${state.done} of ${state.total}`}
          aria-label={t`Reading the file`}
        />
      )}
      {state.state === "applied" && (
        <Alert
          type="success"
          title={t`Done: ${state.counts.new ?? 0} new, ${state.counts.changed ?? 0} changed. Every change is in the history of its combination.`}
          role="status"
          action={
            <Button loading={undo.isPending} onClick={() => undo.mutate(state.id, { onSuccess: onState })}>
              <Trans>Undo the import</Trans>
            </Button>
          }
        />
      )}
      <Failure error={undo.error} />
      {state.state === "undone" && (
        <Alert
          type="success"
          role="status"
          title={
            state.stays && state.stays.length > 0
              ? t`The import is undone, except for what was changed since: ${state.stays.join(", ")}.`
              : t`The import is undone: what it added is archived, and what it changed is restored.`
          }
        />
      )}
    </>
  );
}

interface FileProps {
  /** The name of the chosen file; empty while none is chosen. */
  file: string;
  format: ImportFormat;
  onFormat: (format: ImportFormat) => void;
  onFile: (file: File) => void;
}

/** Chooses a file and its format; refuses one that is too large. */
function FileChoice({ file, format, onFormat, onFile }: FileProps) {
  const largest = useVocabulary()?.limits.importBytes ?? Number.POSITIVE_INFINITY;
  const [tooLarge, setTooLarge] = useState(false);
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    event.target.value = "";
    if (!chosen) {
      return;
    }
    setTooLarge(chosen.size > largest);
    if (chosen.size <= largest) {
      onFile(chosen);
    }
  };
  return (
    <>
      <Flex wrap align="center" gap="small" className="form-row">
        <label className="quiet file-choice">
          <Trans>Choose a file</Trans>
          <input type="file" accept=".json,.csv,.txt,.text,text/plain" onChange={choose} />
        </label>
        <span className="small">{file || t`or paste below`}</span>
        <Select
          value={format}
          onChange={onFormat}
          options={IMPORT_FORMATS}
          aria-label={t`Format`}
          style={{ minWidth: 290 }}
        />
      </Flex>
      {tooLarge && (
        <Alert
          type="error"
          role="alert"
          title={t`This file is larger than ${Math.floor(largest / 2 ** 20)} MB. Split it.`}
        />
      )}
    </>
  );
}
