import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { useDebounced } from "../ui/useDebounced";
import { FILTERS, filtersOf, withoutClause } from "./filters";

/** Pause in ms after the last key before a search is sent. */
const PAUSE_MS = 180;

/** Returns the search and filters of the library, which are in the address, with functions to change them. */
export function useFilters() {
  const [address, setAddress] = useSearchParams();
  const filters = filtersOf(address);
  const [typed, onType] = useState(filters.q ?? "");

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

  const clear = () => {
    onType("");
    setAddress(address.get("archived") ? { archived: "true" } : {}, { replace: true, preventScrollReset: true });
  };

  /** Opens a search that was saved. */
  const open = (query: string) => {
    onType(new URLSearchParams(query).get("q") ?? "");
    setAddress(query);
  };
  /** Searches again without one of its clauses. */
  const onWithout = (clause: string) => {
    const filter = FILTERS.find(({ name }) => clause.startsWith(`${name} `) && address.get(name));
    if (filter) {
      set({ [filter.name]: null });
    } else {
      const rest = withoutClause(typed, clause);
      onType(rest);
      set({ q: rest });
    }
  };
  const onPage = (page: number) =>
    setAddress((now) => {
      now.set("page", String(page));
      return now;
    });
  return { address, filters, typed, onType, set, open, onPage, onWithout, clear };
}
