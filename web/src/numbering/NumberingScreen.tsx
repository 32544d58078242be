import { Button, Input, Segmented, Select } from "antd";
import { useMemo, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import type { NumberDifference, Numbering, NumberingPreview, NumberingRequest } from "../api/client";
import { useIsHeadCoach } from "../api/session";
import { useNumbering, useNumberings } from "../api/useNumbering";
import { Failure } from "../ui/Failure";
import { GymNav } from "../ui/GymNav";
import { useNotice } from "../ui/useNotice";
import { Waiting } from "../ui/Waiting";
import { useChooseNumbering, useNumberingPreview, useSaveNumbering } from "./useChooseNumbering";
import "./numbering.css";
import { useVocabulary } from "../api/useVocabulary";

type Row = NonNullable<NumberingRequest["numbers"]>[number] & { key: number };

let nextKey = 0;
const rowsOf = (numbering: Numbering): Row[] =>
  numbering.numbers.map(({ number, family, position, target, name }) => {
    nextKey += 1;
    return { key: nextKey, number, family, position, target, name };
  });
const idOf = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "")
    .slice(0, 40);

/** The numberings of the gym; the head coach makes and changes those that are not built in. */
export default function NumberingScreen() {
  const { id } = useParams();
  const numberings = useNumberings();
  const mine = useNumbering();
  const shown = numberings.data?.numberings.find((numbering) => numbering.id === (id ?? mine));
  return (
    <main className="page">
      <GymNav />
      {numberings.isPending && <Waiting what="Fetching the numberings" />}
      <Failure error={numberings.error} />
      {numberings.data && !shown && <p>There is no such numbering. Choose another above.</p>}
      {numberings.data && shown && (
        <Editor key={`${shown.id} ${shown.version}`} numbering={shown} numberings={numberings.data.numberings} />
      )}
    </main>
  );
}

function Editor({ numbering, numberings }: { numbering: Numbering; numberings: Numbering[] }) {
  const head = useIsHeadCoach();
  const ofGym = useNumberings().data?.ofGym;
  const mine = useNumbering();
  const navigate = useNavigate();
  const notice = useNotice();
  const [editing, setEditing] = useState(false);
  const [name, setName] = useState(numbering.isBuiltIn ? "" : numbering.name);
  const [about, setAbout] = useState(numbering.about);
  const [boundTo, setBoundTo] = useState(numbering.boundTo);
  const [rows, setRows] = useState<Row[]>(() => rowsOf(numbering));
  const [other, setOther] = useState(() =>
    mine !== numbering.id ? mine : (numberings.find((one) => one.id !== numbering.id)?.id ?? mine),
  );
  const save = useSaveNumbering();
  const chooseMine = useChooseNumbering("me");
  const chooseGym = useChooseNumbering("gym");
  const request: NumberingRequest = {
    name: name.trim() || numbering.name,
    about,
    boundTo,
    comparedWith: other,
    numbers: rows.map(({ key: _, ...row }) => row),
  };
  const preview = useNumberingPreview(request);
  const problems = preview.data?.problems ?? [];
  const stops = problems.some((problem) => problem.stops);

  const change = (key: number, part: Partial<Row>) =>
    setRows((now) => now.map((row) => (row.key === key ? { ...row, ...part } : row)));
  const bind = (to: "role" | "hand") => {
    const positions = { lead: "left", rear: "right", left: "lead", right: "rear" } as const;
    setBoundTo(to);
    setRows((now) => now.map((row) => ({ ...row, position: positions[row.position] })));
  };
  const store = () => {
    const isNew = numbering.isBuiltIn || name.trim() !== numbering.name;
    const id = isNew ? idOf(name) : numbering.id;
    save.mutate(
      { id, version: isNew ? null : numbering.version, body: request },
      {
        onSuccess: (saved) => {
          notice.done(`“${saved.name}” is saved. No stored chain changed.`);
          setEditing(false);
          void navigate(`/numbering/${saved.id}`);
        },
      },
    );
  };

  return (
    <>
      <div className="numbering-head">
        <h1>Numbering</h1>
        <Select
          value={numbering.id}
          onChange={(value) => navigate(`/numbering/${value}`)}
          options={numberings.map((one) => ({
            value: one.id,
            label: one.name + (one.id === ofGym ? " · the gym’s" : "") + (one.id === mine ? " · you read it" : ""),
          }))}
          aria-label="Which numbering"
          className="numbering-which"
        />
        {mine !== numbering.id && (
          <Button onClick={() => chooseMine.mutate(numbering.id)} loading={chooseMine.isPending}>
            Read in it
          </Button>
        )}
        {head && ofGym !== numbering.id && (
          <Button onClick={() => chooseGym.mutate(numbering.id)} loading={chooseGym.isPending}>
            Make it the gym’s
          </Button>
        )}
        {head && !editing && (
          <Button
            type="primary"
            onClick={() => {
              setEditing(true);
              setOther(numbering.id);
            }}
          >
            {numbering.isBuiltIn ? "Start a numbering from this" : "Edit"}
          </Button>
        )}
      </div>
      <p className="small">
        {numbering.about} A numbering is only a way of writing: changing it never changes a stored chain.
      </p>
      <div className="columns">
        <section className="panel numbering-numbers" aria-label="Numbers">
          {editing && (
            <div className="numbering-form">
              <label htmlFor="numbering-name">Name</label>
              <Input
                id="numbering-name"
                value={name}
                maxLength={40}
                onChange={(event) => setName(event.target.value)}
                placeholder="Such as Saltworks numbers"
              />
              <label htmlFor="numbering-about">In short</label>
              <Input
                id="numbering-about"
                value={about}
                maxLength={200}
                onChange={(event) => setAbout(event.target.value)}
              />
              <span>A number is bound to</span>
              <Segmented
                value={boundTo}
                onChange={bind}
                options={[
                  { value: "role", label: "the role: 1 is the jab of either stance" },
                  { value: "hand", label: "the hand: odd stays left" },
                ]}
                aria-label="What a number is bound to"
              />
            </div>
          )}
          <NumberTable
            rows={rows}
            boundTo={boundTo}
            editing={editing}
            problems={problems}
            onChange={change}
            onRemove={(key) => setRows((now) => now.filter((row) => row.key !== key))}
          />
          {editing && (
            <div className="form-row numbering-foot">
              <AddNumber
                onAdd={(row) => {
                  nextKey += 1;
                  setRows((now) => [...now, { ...row, key: nextKey }]);
                }}
                boundTo={boundTo}
              />
            </div>
          )}
          {editing && (
            <div className="form-row numbering-foot">
              <Button
                type="primary"
                onClick={store}
                loading={save.isPending}
                disabled={stops || idOf(name) === ""}
                title={stops ? "Mend what is marked first" : undefined}
              >
                Save the numbering
              </Button>
              <Button
                onClick={() => {
                  setRows(rowsOf(numbering));
                  setBoundTo(numbering.boundTo);
                  setEditing(false);
                }}
              >
                Leave it as it was
              </Button>
              {idOf(name) === "" && <span className="small">It needs a name first.</span>}
              <Failure error={save.error} />
            </div>
          )}
        </section>
        <aside>
          <section className="panel block" aria-label="How the library reads">
            <h2>How the library reads</h2>
            <div className="form-row">
              <span>compared with</span>
              <Select
                size="small"
                value={other}
                onChange={setOther}
                options={numberings.map((one) => ({ value: one.id, label: one.name }))}
                aria-label="Compared with"
              />
            </div>
            {preview.data && (
              <Samples
                preview={preview.data}
                stops={stops}
                names={
                  other === numbering.id
                    ? ["Before", "After"]
                    : [numberings.find((one) => one.id === other)?.name ?? "Before", editing ? "Yours" : numbering.name]
                }
              />
            )}
          </section>
          {preview.data && !stops && (
            <>
              <Differences
                differences={preview.data.differences}
                one={name.trim() || numbering.name}
                other={numberings.find((one) => one.id === other)?.name ?? other}
              />
              <section className="panel block" aria-label="Without a number">
                <h2>Without a number</h2>
                <p>
                  {preview.data.gaps.length === 0
                    ? "Every strike has one."
                    : `${preview.data.gaps.map((gap) => gap.strike).join(", ")}: written in words.`}
                </p>
              </section>
            </>
          )}
        </aside>
      </div>
    </>
  );
}

function NumberTable({
  rows,
  boundTo,
  editing,
  problems,
  onChange,
  onRemove,
}: {
  rows: Row[];
  boundTo: "role" | "hand";
  editing: boolean;
  problems: NumberingPreview["problems"];
  onChange: (key: number, part: Partial<Row>) => void;
  onRemove: (key: number) => void;
}) {
  const families = useFamilies();
  const strikes = useVocabulary()?.strikes ?? [];
  const targets = (family: string) =>
    [...new Set(strikes.filter((strike) => strike.family === family).flatMap((strike) => strike.targets))].map(
      (target) => ({ value: target, label: target }),
    );
  const positions = boundTo === "hand" ? ["left", "right"] : ["lead", "rear"];
  return (
    <table className="plain-table numbering-table">
      <thead>
        <tr>
          <th scope="col">Number</th>
          <th scope="col">{boundTo === "hand" ? "Hand" : "Role"}</th>
          <th scope="col">Strike</th>
          <th scope="col">Means when alone</th>
          <th scope="col">You call it</th>
          {editing && <th scope="col" aria-label="Remove" />}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, at) => {
          const wrong = problems.filter((problem) => problem.row === at);
          return (
            <tr key={row.key} className={wrong.some((problem) => problem.stops) ? "row-wrong" : ""}>
              <td>
                {editing ? (
                  <Input
                    size="small"
                    value={row.number}
                    maxLength={5}
                    onChange={(event) => onChange(row.key, { number: event.target.value })}
                    aria-label={`Number of row ${at + 1}`}
                    status={wrong.length > 0 ? "error" : ""}
                  />
                ) : (
                  <b className="numbers">{row.number}</b>
                )}
              </td>
              <td>
                {editing ? (
                  <Segmented
                    size="small"
                    value={row.position}
                    onChange={(position) => onChange(row.key, { position })}
                    options={positions as Row["position"][]}
                    aria-label={`Side of row ${at + 1}`}
                  />
                ) : (
                  row.position
                )}
              </td>
              <td>
                {editing ? (
                  <Select
                    size="small"
                    value={row.family}
                    onChange={(family) => onChange(row.key, { family })}
                    options={families}
                    aria-label={`Strike of row ${at + 1}`}
                    className="numbering-family"
                  />
                ) : (
                  row.family
                )}
                {editing && wrong.map((problem) => <small key={problem.message}>{problem.message}</small>)}
              </td>
              <td>
                {editing ? (
                  <Select
                    size="small"
                    value={row.target ?? ""}
                    onChange={(target) =>
                      onChange(row.key, { target: target === "" ? null : (target as NonNullable<Row["target"]>) })
                    }
                    options={[{ value: "", label: "usual target" }, ...targets(row.family)]}
                    aria-label={`Target of row ${at + 1}`}
                    className="numbering-target"
                  />
                ) : (
                  (row.target ?? <span className="small">usual target</span>)
                )}
              </td>
              <td>
                {editing ? (
                  <Input
                    size="small"
                    value={row.name ?? ""}
                    maxLength={40}
                    onChange={(event) => onChange(row.key, { name: event.target.value || null })}
                    aria-label={`Your name for row ${at + 1}`}
                  />
                ) : (
                  row.name
                )}
              </td>
              {editing && (
                <td>
                  <button
                    type="button"
                    className="quiet"
                    onClick={() => onRemove(row.key)}
                    aria-label={`Remove ${row.number || `row ${at + 1}`}`}
                  >
                    ×
                  </button>
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function useFamilies() {
  const strikes = useVocabulary()?.strikes;
  return useMemo(
    () => [...new Set(strikes?.map((strike) => strike.family))].map((family) => ({ value: family, label: family })),
    [strikes],
  );
}

function AddNumber({ onAdd, boundTo }: { onAdd: (row: Omit<Row, "key">) => void; boundTo: "role" | "hand" }) {
  const families = useFamilies();
  const [family, setFamily] = useState("hook");
  return (
    <>
      <Select
        size="small"
        value={family}
        onChange={setFamily}
        options={families}
        aria-label="Strike of a new number"
        className="numbering-family"
      />
      <Button
        size="small"
        onClick={() =>
          onAdd({ number: "", family, position: boundTo === "hand" ? "left" : "lead", target: null, name: null })
        }
      >
        Add a number
      </Button>
    </>
  );
}

function Samples({ preview, stops, names }: { preview: NumberingPreview; stops: boolean; names: [string, string] }) {
  if (stops) {
    return (
      <p className="entry-problem" role="status">
        {preview.problems.find((problem) => problem.stops)?.message} The comparison comes back once that is mended.
      </p>
    );
  }
  return (
    <>
      <p className="small" role="status">
        {preview.changed === 0
          ? `The first ${preview.lookedAt} combinations read the same in both.`
          : `${preview.changed} of ${preview.lookedAt} combinations read differently.`}
      </p>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">Combination</th>
            <th scope="col">{names[0]}</th>
            <th scope="col">{names[1]}</th>
          </tr>
        </thead>
        <tbody>
          {preview.samples.map((sample) => (
            <tr key={sample.id} className={sample.before === sample.after ? "" : "sample-changed"}>
              <td>
                <Link to={`/combinations/${sample.id}`}>{sample.name}</Link>
              </td>
              <td className="numbers">{sample.before}</td>
              <td className="numbers">{sample.after}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Numbers that two numberings use differently; shown wherever both are in sight. */
export function Differences({
  differences,
  one,
  other,
}: {
  differences: NumberDifference[];
  one: string;
  other: string;
}) {
  if (differences.length === 0) {
    return null;
  }
  return (
    <section className="panel block differences" aria-label="Numbers used differently">
      <h2>Used differently</h2>
      <ul>
        {differences.map((difference) => (
          <li key={difference.number}>
            <b className="numbers">{difference.number}</b> is a {difference.one} in {one}, a {difference.other} in{" "}
            {other}.
          </li>
        ))}
      </ul>
    </section>
  );
}
