import { Alert, Button, Input, Pagination, Progress, Segmented, Select } from "antd";
import { type ChangeEvent, useState } from "react";
import { Link } from "react-router";
import type { Import, ImportRequest, NumberingId, Rules, Stance } from "../api/client";
import { useIsHeadCoach } from "../api/session";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { RULES, STANCES } from "../ui/words";
import { useApplyImport, useImportLines, useReadFile } from "./useImport";
import "./in-out.css";
import { useVocabulary } from "../api/useVocabulary";

const FORMATS: { value: ImportRequest["format"]; label: string }[] = [
  { value: "text", label: "Text: one chain a line, its name after #" },
  { value: "csv", label: "CSV, with its columns named" },
  { value: "json", label: "JSON of Periplus" },
];
const KINDS: { value: string; label: string; says: string }[] = [
  { value: "new", label: "new", says: "comes into the library" },
  { value: "changed", label: "changed", says: "changes one of the same name or chain" },
  { value: "duplicate", label: "duplicate", says: "is there already; left out" },
  { value: "same", label: "same", says: "is there just so; left alone" },
  { value: "unreadable", label: "unreadable", says: "cannot be read; left out" },
];

/** The library as files, out and in. */
export default function InOutScreen() {
  const head = useIsHeadCoach();
  return (
    <main className="page">
      <GymNav />
      <h1>In and out</h1>
      <div className="columns in-out">
        {head ? (
          <ImportPanel />
        ) : (
          <section className="panel block">
            <h2>In</h2>
            <p>The head coach imports files. You can write on the bench and propose.</p>
          </section>
        )}
        <section className="panel block" aria-label="Out">
          <h2>Out</h2>
          <p>
            The whole library, with what is archived. A part of it, and paper for the wall, you take out of the{" "}
            <Link to="/library">library</Link> after a search.
          </p>
          <ul className="out-list">
            <li>
              <a href="/api/export.json?everything=true" download>
                JSON
              </a>
              <small>keeps everything; import it again here or elsewhere</small>
            </li>
            <li>
              <a href="/api/export.csv?everything=true" download>
                CSV
              </a>
              <small>for a spreadsheet, in the numbers you read</small>
            </li>
            <li>
              <a href="/api/export.text?everything=true" download>
                Text
              </a>
              <small>one chain a line, its name after #</small>
            </li>
          </ul>
        </section>
      </div>
    </main>
  );
}

function ImportPanel() {
  const mine = useNumbering();
  const numberings = useNumberings();
  const largest = useVocabulary()?.limits.importBytes ?? Number.POSITIVE_INFINITY;
  const [format, setFormat] = useState<ImportRequest["format"]>("text");
  const [content, setContent] = useState("");
  const [file, setFile] = useState("");
  const [numbering, setNumbering] = useState<NumberingId | null>(null);
  const [stance, setStance] = useState<Stance>("orthodox");
  const [rules, setRules] = useState<Rules>("all-limbs");
  const [state, setState] = useState<Import | null>(null);
  const [tooLarge, setTooLarge] = useState(false);
  const read = useReadFile(setState);
  const apply = useApplyImport();
  const start = () => {
    setState(null);
    apply.reset();
    read.mutate({ format, content, numbering: numbering ?? mine, stance, rules });
  };
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    event.target.value = "";
    if (!chosen) {
      return;
    }
    setTooLarge(chosen.size > largest);
    if (chosen.size > largest) {
      return;
    }
    const ending = chosen.name.split(".").pop()?.toLowerCase();
    setFormat(ending === "json" ? "json" : ending === "csv" ? "csv" : "text");
    setFile(chosen.name);
    setState(null);
    read.reset();
    void chosen.text().then(setContent);
  };
  const changes = (state?.counts.new ?? 0) + (state?.counts.changed ?? 0);
  return (
    <section className="panel block" aria-label="In">
      <h2>In</h2>
      <p className="small">
        Choose a file or paste a list. You see what every line would do before anything is written; then all of it goes
        in, or nothing.
      </p>
      <div className="form-row">
        <label className="quiet file-choice">
          Choose a file
          <input type="file" accept=".json,.csv,.txt,.text,text/plain" onChange={choose} />
        </label>
        <span className="small">{file || "or paste below"}</span>
        <Select value={format} onChange={setFormat} options={FORMATS} aria-label="Format" style={{ minWidth: 290 }} />
      </div>
      {tooLarge && <Alert type="error" showIcon message="This file is larger than 4 MB. Split it." role="alert" />}
      <Input.TextArea
        value={content}
        onChange={(event) => {
          setContent(event.target.value);
          setFile("");
        }}
        rows={7}
        aria-label="What is to be imported"
        placeholder={"1 2 3b exit # Cellar window\n1 1 2 # Two and one"}
        className="import-text"
      />
      {format !== "json" && (
        <div className="form-row">
          <span>Where the file does not say:</span>
          <Select
            size="small"
            value={numbering ?? mine}
            onChange={setNumbering}
            options={numberings.data?.numberings.map((one) => ({ value: one.id, label: `${one.name} numbers` })) ?? []}
            aria-label="Numbering of the file"
            style={{ minWidth: 150 }}
          />
          <Segmented
            size="small"
            value={stance}
            onChange={setStance}
            options={STANCES}
            aria-label="Stance of the file"
          />
          <Select size="small" value={rules} onChange={setRules} options={RULES} aria-label="Rules of the file" />
        </div>
      )}
      <div className="form-row">
        <Button
          type={state?.state === "ready" ? "default" : "primary"}
          onClick={start}
          loading={read.isPending}
          disabled={content.trim() === ""}
        >
          See what it would do
        </Button>
        {state?.state === "ready" && (
          <Button
            type="primary"
            loading={apply.isPending}
            disabled={changes === 0}
            onClick={() => apply.mutate(state.id, { onSuccess: setState })}
          >
            {changes === 0
              ? "Nothing to import"
              : `Import ${changes} ${changes === 1 ? "combination" : "combinations"}`}
          </Button>
        )}
        {apply.isPending && <span className="small">Putting all of it in place; this may take a while.</span>}
      </div>
      <Failure error={read.error} />
      <Failure error={apply.error} more="Nothing was imported; look at it anew." />
      {state?.state === "reading" && (
        <Progress
          percent={Math.round((100 * state.done) / Math.max(1, state.total))}
          format={() => `${state.done} of ${state.total}`}
          aria-label="Reading the file"
        />
      )}
      {state?.state === "applied" && (
        <Alert
          type="success"
          showIcon
          message={`Done: ${state.counts.new ?? 0} new, ${state.counts.changed ?? 0} changed. Every change is in the history of its combination.`}
          role="status"
        />
      )}
      {state && state.state !== "reading" && <Lines state={state} />}
    </section>
  );
}

function Lines({ state }: { state: Import }) {
  const [kind, setKind] = useState("");
  const [page, setPage] = useState(1);
  const lines = useImportLines(state, kind, page);
  const present = KINDS.filter((one) => (state.counts[one.value] ?? 0) > 0);
  const total = kind === "" ? state.total : (state.counts[kind] ?? 0);
  return (
    <>
      <Segmented
        value={kind}
        onChange={(value) => {
          setKind(value);
          setPage(1);
        }}
        options={[
          { value: "", label: `all ${state.total}` },
          ...present.map((one) => ({ value: one.value, label: `${one.label} ${state.counts[one.value]}` })),
        ]}
        aria-label="Which entries"
      />
      <p className="small">
        {KINDS.find((one) => one.value === kind)?.says ?? "Every entry of the file, in its order."}
      </p>
      <div className="plain-scroll">
        <table className="plain-table import-lines">
          <tbody>
            {lines.data?.lines.map((line) => (
              <tr key={line.entry}>
                <td>
                  <span className={`import-kind import-${line.kind}`}>{line.kind}</span>
                </td>
                <td>
                  {line.content ? (
                    <>
                      <b>{line.content.name}</b> <span className="numbers">{line.content.text}</span>
                    </>
                  ) : (
                    <code>{line.source}</code>
                  )}
                  {line.message && (
                    <small>
                      {line.kind === "unreadable" && line.content ? `${line.source}: ` : ""}
                      {line.message} {line.combination && <Link to={`/combinations/${line.combination}`}>open</Link>}
                    </small>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {total > (lines.data?.size ?? 100) && (
        <Pagination
          className="pages"
          current={page}
          pageSize={lines.data?.size ?? 100}
          total={total}
          showSizeChanger={false}
          onChange={setPage}
        />
      )}
    </>
  );
}
