import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Flex, Input, type InputRef, Select } from "antd";
import { type ComponentProps, lazy, type RefObject, Suspense, useEffect, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { CombinationPage, CombinationRow } from "../api/client";
import { useReachable } from "../api/connection";
import { useVocabulary } from "../api/useVocabulary";
import { useLibrary } from "../library-search/useLibrary";
import { ExportMenu } from "../ui/ExportMenu";
import { FirstVisit } from "../ui/FirstVisit";
import { Loaded } from "../ui/Loaded";
import { FRESH } from "../ui/newCombination";
import { Pages } from "../ui/Pages";
import { screen } from "../ui/screens";
import { useShortcut } from "../ui/useShortcut";
import { WordsSwitch } from "../ui/WordsSwitch";
import { exportsOf, FILTERS, PAGE_SIZE, sortedBy, valuesOf } from "./filters";
import { LibraryTable } from "./LibraryTable";
import type Nothing from "./NothingFound";
import type Unclear from "./NotUnderstood";
import { SearchHelp } from "./SearchHelp";
import { useFilters } from "./useFilters";
import { useViewName, Views } from "./Views";
import "./library.css";

/** Loaded once something is selected, because the library is the first page. */
const BulkBar = lazy(() => import("./BulkBar").then(({ BulkBar }) => ({ default: BulkBar })));

const NothingFound = screen<ComponentProps<typeof Nothing>>(() => import("./NothingFound"));
const NotUnderstood = screen<ComponentProps<typeof Unclear>>(() => import("./NotUnderstood"));
const Understood = lazy(() => import("./Understood"));
const TodayRow = lazy(() => import("./TodayRow"));

/** Moves the focus into the list, from where arrow keys and Enter go on; tells whether there is a list. */
function focusFirstRow(): boolean {
  const row = document.querySelector<HTMLElement>(".library-table tbody tr");
  row?.focus();
  return row !== null;
}

/** The gym's combinations, with search and filters. */
export default function LibraryScreen() {
  const { wallSheet: paper = 0, athleteCard: onCard = 0 } = useVocabulary()?.limits ?? {};
  const { address, filters, typed, onType, set, open, onPage, onWithout, clear } = useFilters();
  const library = useLibrary(filters);
  const navigate = useNavigate();
  const search = useRef<InputRef>(null);
  const reachable = useReachable();

  useShortcut("search", () => search.current?.focus());
  useShortcut("rows", (event) => {
    const within = event.target instanceof HTMLTableRowElement;
    return within ? false : focusFirstRow();
  });

  const filtered = ["q", "weapon", "verdict", "rules", "level"].some((name) => address.get(name));
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
      <LibraryHead filters={filters} found={data} filtered={filtered} view={view} />
      <FirstVisit />
      <Suspense>
        <TodayRow />
      </Suspense>
      <FilterBar
        {...{ filters, typed, onType, set }}
        field={search}
        // An older list is not gone into.
        isCurrent={data !== undefined && !library.isPlaceholderData && typed === (filters.q ?? "")}
      />
      <Flex wrap align="center" gap="small" className="library-understood">
        <Views address={address} onOpen={open} />
        <Suspense>{data && filters.q && <Understood search={data.search} />}</Suspense>
        <SearchHelp onTry={(text) => onType((now) => (now.trim() === "" ? text : `${now.trim()}, ${text}`))} />
        <WordsSwitch />
      </Flex>
      <Loaded query={library} what={t`Loading the library`} />
      <Suspense>
        {data?.search.problems[0] && (
          <NotUnderstood problem={data.search.problems[0]} typed={typed} onType={onType} onClear={clear} />
        )}
        {data && data.search.problems.length === 0 && data.combinations.length === 0 && (
          <NothingFound
            filtered={filtered}
            archived={filters.archived === true}
            onClear={clear}
            onNew={() => navigate("/bench", { state: FRESH })}
            without={data.without}
            onWithout={onWithout}
          />
        )}
      </Suspense>
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
      {data && <Pages page={filters.page ?? 1} size={PAGE_SIZE} total={data.total} onPage={onPage} />}
    </main>
  );
}

interface HeadProps {
  filters: ReturnType<typeof useFilters>["filters"];
  found: CombinationPage | undefined;
  filtered: boolean;
  view: ReturnType<typeof useViewName>;
}

function LibraryHead({ filters, found, filtered, view }: HeadProps) {
  const navigate = useNavigate();
  const paper = useVocabulary()?.limits.wallSheet ?? 0;
  return (
    <div className="library-head">
      <h1>{filters.archived ? t`Archived` : t`Library`}</h1>
      <span className="small" role="status">
        {found && found.search.problems.length === 0
          ? `${plural(found.total, { one: "# combination", other: "# combinations" })}${filtered ? " found" : ""}`
          : ""}
      </span>
      <span className="new-item library-out">
        <Link to="/near-duplicates">
          <Trans>Near duplicates</Trans>
        </Link>
        <Link to="/family">
          <Trans>Families</Trans>
        </Link>
        <ExportMenu items={exportsOf(filters, found?.total ?? 0, found?.search.problems.length === 0, paper, view)} />
        <Button type="primary" onClick={() => navigate("/bench", { state: FRESH })}>
          <Trans>New combination</Trans>
        </Button>
      </span>
    </div>
  );
}

interface FilterProps extends Pick<ReturnType<typeof useFilters>, "filters" | "typed" | "onType" | "set"> {
  field: RefObject<InputRef | null>;
  /** Whether the list below belongs to what is typed. */
  isCurrent: boolean;
}

function FilterBar({ filters, typed, onType, set, field, isCurrent }: FilterProps) {
  const [isOpen, setOpen] = useState(false);
  /** Whether Down or Enter was pressed before the answer was there; the coach goes into the list when it is. */
  const wantsRows = useRef(false);
  useEffect(() => {
    if (isCurrent && wantsRows.current) {
      wantsRows.current = false;
      focusFirstRow();
    }
  }, [isCurrent]);
  const count = FILTERS.reduce((sum, { name }) => sum + valuesOf(filters, name).length, 0);
  return (
    <search className={isOpen ? "library-filters is-open" : "library-filters"}>
      <Input
        ref={field}
        value={typed}
        onChange={(event) => onType(event.target.value)}
        onKeyDown={(event) => {
          const goesDown = event.key === "ArrowDown" || event.key === "Enter";
          wantsRows.current = goesDown && !isCurrent;
          if (goesDown && isCurrent && focusFirstRow()) {
            event.preventDefault();
          }
        }}
        placeholder={t`Such as liver, starts 1, ends kick`}
        aria-label={t`Search the library`}
        allowClear
        suffix={typed ? null : <kbd>/</kbd>}
        maxLength={300}
      />
      <Button className="filters-button" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {count > 0 ? t`Filters (${count})` : t`Filters`}
      </Button>
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
  );
}
