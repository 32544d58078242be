import { Button, Input, type InputRef, Pagination, Select } from "antd";
import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { CombinationPage, CombinationRow } from "../api/client";
import { useReachable } from "../api/connection";
import { CombinationLine } from "../combination-line/CombinationLine";
import { Failure } from "../ui/Failure";
import { TakeOut, type Way } from "../ui/TakeOut";
import { useShortcut } from "../ui/useShortcut";
import { VerdictMark } from "../ui/VerdictMark";
import { Waiting } from "../ui/Waiting";
import { LEVELS, LIMBS, RULES, seconds } from "../ui/words";
import { SearchHelp } from "./SearchHelp";
import { type Filters, useLibrary } from "./useLibrary";
import { Views } from "./Views";
import "./library.css";
import { useVocabulary } from "../api/useVocabulary";

const SIZE = 50;
const LINE_WIDTH = 400;
const VERDICT_OPTIONS = [
  { value: "flows", label: "● Flows" },
  { value: "reload", label: "▲ Reload" },
  { value: "breaks", label: "✕ Breaks" },
];
const FILTERS: {
  name: "weapon" | "verdict" | "rules" | "level";
  label: string;
  any: string;
  options: { value: string | number; label: string }[];
}[] = [
  { name: "weapon", label: "Weapon", any: "Any weapon", options: LIMBS },
  { name: "verdict", label: "Verdict", any: "Any verdict", options: VERDICT_OPTIONS },
  { name: "rules", label: "Rules", any: "Any rules", options: RULES },
  { name: "level", label: "Level", any: "Any level", options: LEVELS },
];
const SORTS = [
  { value: "name", label: "By name" },
  { value: "level", label: "By level" },
  { value: "length", label: "By length" },
  { value: "updated", label: "Newest first" },
];

/** The filters live in the address, so that a view can be shared. */
function filtersOf(address: URLSearchParams): Filters {
  const sort = (address.get("sort") ?? "name") as NonNullable<Filters["sort"]>;
  const filters: Filters = {
    sort,
    direction: sort === "updated" ? "down" : "up",
    page: Number(address.get("page")) || 1,
    size: SIZE,
  };
  const q = address.get("q");
  if (q) {
    filters.q = q;
  }
  for (const name of ["weapon", "verdict", "rules"] as const) {
    const value = address.get(name);
    if (value) {
      Object.assign(filters, { [name]: value });
    }
  }
  if (address.get("level")) {
    filters.level = Number(address.get("level"));
  }
  if (address.get("archived")) {
    filters.archived = true;
  }
  return filters;
}

export default function LibraryScreen() {
  const paper = useVocabulary()?.limits.wallSheet ?? 0;
  const [address, setAddress] = useSearchParams();
  const filters = filtersOf(address);
  const library = useLibrary(filters);
  const navigate = useNavigate();
  const search = useRef<InputRef>(null);
  const [typed, setTyped] = useState(filters.q ?? "");
  const reachable = useReachable();

  // What is typed reaches the address a moment later, and must not bring back filters that were cleared meanwhile.
  const latest = useRef(address);
  latest.current = address;
  const set = (name: string, value: string | number | boolean | null | undefined) => {
    const next = new URLSearchParams(latest.current);
    next.delete("page");
    if (value === null || value === undefined || value === "" || value === false) {
      next.delete(name);
    } else {
      next.set(name, String(value));
    }
    setAddress(next, { replace: true });
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: only what is typed starts the clock
  useEffect(() => {
    const timer = setTimeout(() => typed !== (latest.current.get("q") ?? "") && set("q", typed), 180);
    return () => clearTimeout(timer);
  }, [typed]);

  useShortcut("search", () => search.current?.focus());
  useShortcut("write", () => void navigate("/bench"));
  useShortcut("rows", (event) => {
    const within = event.target instanceof HTMLTableRowElement;
    return within ? false : document.querySelector<HTMLElement>(".library-table tbody tr")?.focus();
  });

  const filtered = ["q", "weapon", "verdict", "rules", "level"].some((name) => address.get(name));
  const clear = () => {
    setTyped("");
    setAddress(address.get("archived") ? { archived: "true" } : {}, { replace: true });
  };
  const data = library.data;
  // What is shown was found by an earlier search, and the answer to this one cannot be had.
  const old = library.isPlaceholderData && (library.failureCount > 0 || !reachable);
  return (
    <main className="page">
      <div className="library-head">
        <h1>{filters.archived ? "Archived" : "Library"}</h1>
        <span className="small" role="status">
          {data && data.search.problems.length === 0
            ? `${data.total} ${data.total === 1 ? "combination" : "combinations"}${filtered ? " found" : ""}`
            : ""}
        </span>
        <span className="new-item library-out">
          <Link to="/family">Families</Link>
          <TakeOut ways={waysOut(filters, data?.total ?? 0, data?.search.problems.length === 0, paper)} />
          <Button type="primary" onClick={() => navigate("/bench")}>
            New combination
          </Button>
        </span>
      </div>
      <search className="library-filters">
        <Input
          ref={search}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          placeholder="Words, or a pattern: starts 1, ends kick, liver"
          aria-label="Search the library"
          allowClear
          suffix={typed ? null : <kbd>/</kbd>}
          maxLength={300}
        />
        {FILTERS.map(({ name, label, any, options }) => (
          <Select<string | number>
            key={name}
            aria-label={label}
            placeholder={any}
            allowClear
            value={filters[name]}
            onChange={(value) => set(name, value)}
            options={options}
          />
        ))}
        <Select
          aria-label="Sort"
          value={filters.sort}
          onChange={(value) => set("sort", value === "name" ? null : value)}
          options={SORTS}
        />
        <Button
          type={filters.archived ? "primary" : "default"}
          aria-pressed={filters.archived === true}
          onClick={() => set("archived", !filters.archived)}
        >
          Archived
        </Button>
      </search>
      <div className="library-understood">
        <Views
          address={address}
          onOpen={(query) => {
            setTyped(new URLSearchParams(query).get("q") ?? "");
            setAddress(query);
          }}
        />
        {data && filters.q && <Understood search={data.search} />}
        <SearchHelp onTry={(text) => setTyped((now) => (now.trim() === "" ? text : `${now.trim()}, ${text}`))} />
      </div>
      {library.isPending && <Waiting what="Fetching the library" />}
      <Failure error={library.error} onRetry={library.refetch} />
      {data && data.search.problems.length > 0 && (
        <div className="panel empty">
          <h2>This search is not understood</h2>
          <p>
            {data.search.problems[0]?.message} Expected: {data.search.problems[0]?.expected}.
          </p>
          <p>
            {data.search.problems[0]?.nearest.map((nearest) => (
              <button
                key={nearest}
                type="button"
                className="chip"
                onClick={() => setTyped(mended(typed, data.search.problems[0], nearest))}
              >
                {nearest}
              </button>
            ))}
          </p>
          <p className="small">
            To find these words in names, themes and notes:{" "}
            <button type="button" className="chip" onClick={() => setTyped(`"${typed.replaceAll('"', "")}"`)}>
              “{typed.replaceAll('"', "")}”
            </button>
          </p>
          <Button onClick={clear}>Clear the search</Button>
        </div>
      )}
      {data && data.search.problems.length === 0 && data.combinations.length === 0 && (
        <Nothing
          filtered={filtered}
          archived={filters.archived === true}
          onClear={clear}
          onNew={() => navigate("/bench")}
          without={data.without}
          onWithout={(text) => {
            const filter = FILTERS.find(({ name }) => text.startsWith(`${name} `) && address.get(name));
            if (filter) {
              set(filter.name, null);
            } else {
              const rest = typed
                .replace(text, "")
                .replace(/^[\s,;]+|[\s,;]+$/g, "")
                .replace(/,\s*,/g, ",");
              setTyped(rest);
              set("q", rest);
            }
          }}
        />
      )}
      {data && data.combinations.length > 0 && (
        <div className={old ? "library-old" : undefined}>
          <Table rows={data.combinations} />
        </div>
      )}
      {data && data.total > SIZE && (
        <Pagination
          className="pages"
          current={filters.page}
          pageSize={SIZE}
          total={data.total}
          showSizeChanger={false}
          onChange={(page) =>
            setAddress((now) => {
              now.set("page", String(page));
              return now;
            })
          }
        />
      )}
    </main>
  );
}

/** What is typed, with one of the nearest in place of what is not understood. Places count Unicode characters. */
function mended(typed: string, problem: CombinationPage["search"]["problems"][number] | undefined, by: string): string {
  const characters = Array.from(typed);
  const { at, length } = problem ?? { at: 0, length: 0 };
  return characters.slice(0, at).join("") + by + characters.slice(at + length).join("");
}

/** What a search finds, as files and on paper. */
function waysOut(filters: Filters, total: number, understood: boolean, paper: number): Way[] {
  const { page: _, size: __, ...rest } = filters;
  const query = new URLSearchParams(Object.entries(rest).map(([name, value]) => [name, String(value)])).toString();
  if (!understood) {
    return [{ label: "The search is not understood, so there is nothing to take out", to: null }];
  }
  return [
    total > paper || total === 0
      ? { label: `Wall sheet (PDF): up to ${paper}, narrow the search`, to: null }
      : { label: "Wall sheet (PDF)", to: `/api/wall-sheet.pdf?${query}` },
    { label: "Text", to: `/api/export.text?${query}` },
    { label: "CSV", to: `/api/export.csv?${query}` },
    { label: "JSON", to: `/api/export.json?${query}` },
  ];
}

/** How the search was understood. */
function Understood({ search }: { search: CombinationPage["search"] }) {
  return (
    <span className="understood" role="status">
      {search.clauses.map((clause) => (
        <span key={clause.text} className="tag">
          {clause.says}
        </span>
      ))}
    </span>
  );
}

function Nothing({
  filtered,
  archived,
  onClear,
  onNew,
  without,
  onWithout,
}: {
  filtered: boolean;
  archived: boolean;
  onClear: () => void;
  onNew: () => void;
  without: CombinationPage["without"];
  onWithout: (text: string) => void;
}) {
  return (
    <div className="panel empty">
      <h2>{filtered ? "Nothing fits all of these" : archived ? "Nothing is archived" : "The library is empty"}</h2>
      <p>
        {filtered
          ? without.some((wish) => wish.total > 0)
            ? "Without one of them there would be:"
            : "None of them alone is to blame; take several away."
          : archived
            ? "What you take out of use on its page is kept here and can be brought back."
            : "Write the first combination on the bench; every coach of the gym will see it here."}
      </p>
      {filtered && without.length > 1 && (
        <p>
          {without
            .filter((wish) => wish.total > 0)
            .map((wish) => (
              <button key={wish.text} type="button" className="chip" onClick={() => onWithout(wish.text)}>
                {wish.total} without “{wish.text}”
              </button>
            ))}
        </p>
      )}
      {filtered ? (
        <Button onClick={onClear}>Clear the filters</Button>
      ) : (
        !archived && <Button onClick={onNew}>Go to the bench</Button>
      )}
    </div>
  );
}

function Table({ rows }: { rows: CombinationRow[] }) {
  const navigate = useNavigate();
  const onKey = (event: KeyboardEvent<HTMLTableRowElement>, id: number) => {
    const row = event.currentTarget;
    const to =
      event.key === "ArrowDown" ? row.nextElementSibling : event.key === "ArrowUp" ? row.previousElementSibling : null;
    if (to instanceof HTMLElement) {
      event.preventDefault();
      to.focus();
    } else if (event.key === "Enter" && event.target === row) {
      void navigate(`/combinations/${id}`);
    }
  };
  return (
    <div className="panel library-scroll">
      <table className="library-table">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Line</th>
            <th scope="col">Numbers</th>
            <th scope="col">Level</th>
            <th scope="col">Check</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={row.id}
              tabIndex={0}
              onKeyDown={(event) => onKey(event, row.id)}
              onClick={() => navigate(`/combinations/${row.id}`)}
            >
              <td className="cell-name">
                <Link to={`/combinations/${row.id}`} tabIndex={-1} onClick={(event) => event.stopPropagation()}>
                  {row.name}
                </Link>
                <small>
                  {row.stance === "southpaw" && <b>southpaw first · </b>}
                  {[row.rules === "all-limbs" ? "all limbs" : row.rules, ...row.themes].join(" · ")}
                </small>
              </td>
              <td className="cell-line">
                <CombinationLine drawing={row.line} width={LINE_WIDTH} name={row.name} />
              </td>
              <td className="cell-numbers">{row.text}</td>
              <td className="cell-level">
                <span role="img" aria-label={`Level ${row.level}`}>
                  {"▮".repeat(row.level)}
                  <i>{"▮".repeat(3 - row.level)}</i>
                </span>
              </td>
              <td className="cell-check">
                <VerdictMark verdict={row.verdict} />
                <small>{seconds(row.lengthMs)}</small>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
