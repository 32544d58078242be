import type { Way } from "../ui/TakeOut";
import { FILE_FORMATS, LEVELS, LIMBS, RULES, VERDICTS } from "../ui/words";
import type { Filters } from "./useLibrary";

export const SIZE = 50;
const VERDICT_OPTIONS = Object.entries(VERDICTS).map(([value, { sign, word }]) => ({
  value,
  label: `${sign} ${word}`,
}));
export const FILTERS: {
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
export const SORTS = [
  { value: "name", label: "By name" },
  { value: "level", label: "By level" },
  { value: "length", label: "By length" },
  { value: "updated", label: "Newest first" },
];

/** The filters live in the address, so that a view can be shared. */
export function filtersOf(address: URLSearchParams): Filters {
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

/** What a search finds, as files and on paper. */
export function waysOut(filters: Filters, total: number, understood: boolean, paper: number): Way[] {
  const { page: _, size: __, ...rest } = filters;
  const query = new URLSearchParams(Object.entries(rest).map(([name, value]) => [name, String(value)])).toString();
  if (!understood) {
    return [{ label: "The search is not understood, so there is nothing to take out", to: null }];
  }
  return [
    total > paper || total === 0
      ? { label: `Wall sheet (PDF): up to ${paper}, narrow the search`, to: null }
      : { label: "Wall sheet (PDF)", to: `/api/wall-sheet.pdf?${query}` },
    ...Object.entries(FILE_FORMATS).map(([format, { name }]) => ({
      label: name,
      to: `/api/export.${format}?${query}`,
    })),
  ];
}

/** What is left of a search once one of its clauses is taken away. */
export function withoutClause(typed: string, clause: string): string {
  return typed
    .replace(clause, "")
    .replace(/^[\s,;]+|[\s,;]+$/g, "")
    .replace(/,\s*,/g, ",");
}
