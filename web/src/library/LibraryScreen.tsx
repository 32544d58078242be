import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Input, type InputRef, Pagination, Select } from "antd";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { CombinationPage, CombinationRow } from "../api/client";
import { useReachable } from "../api/connection";
import { useVocabulary } from "../api/useVocabulary";
import { ExportMenu } from "../ui/ExportMenu";
import { Failure } from "../ui/Failure";
import { FirstVisit } from "../ui/FirstVisit";
import { Loading } from "../ui/Loading";
import { FRESH } from "../ui/newCombination";
import { useDebounced } from "../ui/useDebounced";
import { useShortcut } from "../ui/useShortcut";
import { exportsOf, FILTERS, filtersOf, PAGE_SIZE, sortedBy, valuesOf, withoutClause } from "./filters";
import { LibraryTable } from "./LibraryTable";
import { NothingFound } from "./NothingFound";
import { NotUnderstood } from "./NotUnderstood";
import { SearchHelp } from "./SearchHelp";
import { useLibrary } from "./useLibrary";
import { useViewName, Views } from "./Views";
import "./library.css";

/** Loaded once something is selected, because the library is the first page. */
const BulkBar = lazy(() => import("./BulkBar").then(({ BulkBar }) => ({ default: BulkBar })));

/** Pause in ms after the last key before a search is sent. */
const PAUSE_MS = 180;

/** The gym's combinations, with search and filters. */
export default function LibraryScreen() {
  const { wallSheet: paper = 0, athleteCard: onCard = 0 } = useVocabulary()?.limits ?? {};
  const [address, setAddress] = useSearchParams();
  const filters = filtersOf(address);
  const library = useLibrary(filters);
  const navigate = useNavigate();
  const search = useRef<InputRef>(null);
  const [typed, setTyped] = useState(filters.q ?? "");
  const reachable = useReachable();

  // The typed text reaches the URL a moment later and must not restore filters that were cleared meanwhile.
  const latest = useRef(address);
  latest.current = address;
  const set = (values: Record<string, string | null>) => {
    const next = new URLSearchParams(latest.current);
    next.delete("page");
    for (const [name, value] of Object.entries(values)) {
      value ? next.set(name, value) : next.delete(name);
    }
    setAddress(next, { replace: true, preventScrollReset: true });
  };

  const settled = useDebounced(typed, PAUSE_MS);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only what is typed starts the clock
  useEffect(() => {
    if (settled !== (latest.current.get("q") ?? "")) {
      set({ q: settled });
    }
  }, [settled]);

  useShortcut("search", () => search.current?.focus());
  useShortcut("write", () => void navigate("/bench", { state: FRESH }));
  useShortcut("rows", (event) => {
    const within = event.target instanceof HTMLTableRowElement;
    return within ? false : document.querySelector<HTMLElement>(".library-table tbody tr")?.focus();
  });

  const filtered = ["q", "weapon", "verdict", "rules", "level"].some((name) => address.get(name));
  const clear = () => {
    setTyped("");
    setAddress(address.get("archived") ? { archived: "true" } : {}, { replace: true, preventScrollReset: true });
  };
  const data = library.data;
  const [chosen, setChosen] = useState<CombinationRow[]>([]);
  // Once mounted it stays, because its undo messages belong to it.
  const hasChosen = useRef(false);
  hasChosen.current ||= chosen.length > 0;
  const view = useViewName(address);
  // The shown result belongs to an earlier search, and the answer for this one is unavailable.
  const old = library.isPlaceholderData && (library.failureCount > 0 || !reachable);
  return (
    <main className="page">
      <div className="library-head">
        <h1>{filters.archived ? t`Archived` : t`Library`}</h1>
        <span className="small" role="status">
          {data && data.search.problems.length === 0
            ? `${plural(data.total, { one: "# combination", other: "# combinations" })}${filtered ? " found" : ""}`
            : ""}
        </span>
        <span className="new-item library-out">
          <Link to="/near-duplicates">
            <Trans>Near duplicates</Trans>
          </Link>
          <Link to="/family">
            <Trans>Families</Trans>
          </Link>
          <ExportMenu items={exportsOf(filters, data?.total ?? 0, data?.search.problems.length === 0, paper, view)} />
          <Button type="primary" onClick={() => navigate("/bench", { state: FRESH })}>
            <Trans>New combination</Trans>
          </Button>
        </span>
      </div>
      <FirstVisit />
      <search className="library-filters">
        <Input
          ref={search}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          placeholder={t`Such as liver, starts 1, ends kick`}
          aria-label={t`Search the library`}
          allowClear
          suffix={typed ? null : <kbd>/</kbd>}
          maxLength={300}
        />
        {FILTERS.map(({ name, label, any, options }) => (
          <Select<string[]>
            key={name}
            aria-label={label}
            placeholder={any}
            mode="multiple"
            maxTagCount="responsive"
            allowClear
            showSearch={false}
            value={valuesOf(filters, name)}
            onChange={(values) => set({ [name]: values.join(",") })}
            options={options}
          />
        ))}
        <Button
          type={filters.archived ? "primary" : "default"}
          aria-pressed={filters.archived === true}
          onClick={() => set({ archived: filters.archived ? null : "true" })}
        >
          <Trans>Archived</Trans>
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
      {library.isPending && <Loading what={t`Loading the library`} />}
      <Failure error={library.error} onRetry={library.refetch} />
      {data?.search.problems[0] && (
        <NotUnderstood problem={data.search.problems[0]} typed={typed} onType={setTyped} onClear={clear} />
      )}
      {data && data.search.problems.length === 0 && data.combinations.length === 0 && (
        <NothingFound
          filtered={filtered}
          archived={filters.archived === true}
          onClear={clear}
          onNew={() => navigate("/bench", { state: FRESH })}
          without={data.without}
          onWithout={(text) => {
            const filter = FILTERS.find(({ name }) => text.startsWith(`${name} `) && address.get(name));
            if (filter) {
              set({ [filter.name]: null });
            } else {
              const rest = withoutClause(typed, text);
              setTyped(rest);
              set({ q: rest });
            }
          }}
        />
      )}
      {data && data.combinations.length > 0 && (
        <div className={old ? "library-old" : undefined}>
          <LibraryTable
            rows={data.combinations}
            filters={filters}
            onSort={(column) => set(sortedBy(filters, column))}
            chosen={chosen}
            onChoose={setChosen}
          />
        </div>
      )}
      {hasChosen.current && (
        <Suspense>
          <BulkBar
            chosen={chosen}
            archived={filters.archived === true}
            paper={paper}
            onCard={onCard}
            onChoose={setChosen}
          />
        </Suspense>
      )}
      {data && data.total > PAGE_SIZE && (
        <Pagination
          className="pages"
          current={filters.page}
          pageSize={PAGE_SIZE}
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

/** Shows how the search was understood. */
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
