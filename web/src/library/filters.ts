import { t } from "@lingui/core/macro";
import type { Filters } from "../library-search/useLibrary";
import type { ExportItem } from "../ui/ExportMenu";
import { FILE_FORMATS, LEVELS, LIMBS, RULES, VERDICTS } from "../ui/words";

export const PAGE_SIZE = 50;
const VERDICT_OPTIONS = Object.entries(VERDICTS).map(([value, { sign, word }]) => ({
  value,
  label: `${sign} ${word}`,
}));
export const FILTERS: {
  name: "weapon" | "verdict" | "rules" | "level";
  label: string;
  any: string;
  options: { value: string; label: string }[];
}[] = [
  { name: "weapon", label: t`Weapon`, any: t`Any weapon`, options: LIMBS },
  { name: "verdict", label: t`Verdict`, any: t`Any verdict`, options: VERDICT_OPTIONS },
  { name: "rules", label: t`Rules`, any: t`Any rules`, options: RULES },
  {
    name: "level",
    label: t`Level`,
    any: t`Any level`,
    options: LEVELS.map(({ value, label }) => ({ value: String(value), label })),
  },
];

/** The sortable columns with their initial direction. */
export const SORTS = { name: "up", level: "up", length: "up", drilled: "up", updated: "down" } as const;
export type SortName = keyof typeof SORTS;

/** Reads the filters from the URL, so that a view can be shared. */
export function filtersOf(address: URLSearchParams): Filters {
  const asked = address.get("sort") ?? "";
  const sort = (asked in SORTS ? asked : "name") as SortName;
  const direction = address.get("direction");
  const filters: Filters = {
    sort,
    direction: direction === "up" || direction === "down" ? direction : SORTS[sort],
    page: Number(address.get("page")) || 1,
    size: PAGE_SIZE,
  };
  for (const name of ["q", "weapon", "verdict", "rules", "level"] as const) {
    const value = address.get(name);
    if (value) {
      filters[name] = value;
    }
  }
  if (address.get("archived")) {
    filters.archived = true;
  }
  return filters;
}

/** Returns the values of a filter, of which one has to match. */
export function valuesOf(filters: Filters, name: (typeof FILTERS)[number]["name"]): string[] {
  return filters[name]?.split(",") ?? [];
}

/** Returns the query parameters to sort by a column; the other direction when it is sorted already. */
export function sortedBy(now: Filters, column: SortName): Record<"sort" | "direction", string | null> {
  const usual = SORTS[column];
  const turned = usual === "up" ? "down" : "up";
  const direction = now.sort === column && now.direction === usual ? turned : usual;
  return { sort: column === "name" ? null : column, direction: direction === usual ? null : direction };
}

/** Returns the exports of a search as files and on paper. */
export function exportsOf(
  filters: Filters,
  total: number,
  understood: boolean,
  paper: number,
  title = "",
): ExportItem[] {
  const { page: _, size: __, ...rest } = filters;
  const query = new URLSearchParams(Object.entries(rest).map(([name, value]) => [name, String(value)])).toString();
  const titled = title === "" ? "" : `&${new URLSearchParams({ title })}`;
  if (!understood) {
    return [{ label: t`The search was not understood, so there is nothing to export`, to: null }];
  }
  return [
    ...(total > paper || total === 0
      ? [{ label: t`Paper: up to ${paper}, narrow the search`, to: null }]
      : [
          { label: t`Wall sheet (PDF)`, to: `/api/wall-sheet.pdf?${query}${titled}` },
          { label: t`Cards, a page each (PDF)`, to: `/api/cards.pdf?${query}` },
        ]),
    ...Object.entries(FILE_FORMATS).map(([format, { name }]) => ({
      label: name,
      to: `/api/export.${format}?${query}`,
    })),
  ];
}

/** Returns the search without one of its clauses. */
export function withoutClause(typed: string, clause: string): string {
  return typed
    .replace(clause, "")
    .replace(/^[\s,;]+|[\s,;]+$/g, "")
    .replace(/,\s*,/g, ",");
}
