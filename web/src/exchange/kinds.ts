import { t } from "@lingui/core/macro";
import type { FileFormat, Import } from "../api/client";
import { FILE_FORMATS } from "../ui/words";

/** What happens to an entry of a file. */
export const KINDS: { value: string; label: string; says: string }[] = [
  { value: "new", label: "new", says: t`comes into the library` },
  { value: "changed", label: "changed", says: t`changes one of the same name or chain` },
  { value: "duplicate", label: "duplicate", says: t`is there already; left out` },
  { value: "same", label: "same", says: t`is there just so; left alone` },
  { value: "unreadable", label: "unreadable", says: t`cannot be read; edit it here, or it is left out` },
  { value: "left-out", label: t`left out`, says: t`left out by you` },
];

/** Guesses the format of a file by its name. */
export function formatOf(name: string): FileFormat {
  const ending = name.split(".").pop()?.toLowerCase();
  return ending !== undefined && ending in FILE_FORMATS ? (ending as FileFormat) : "text";
}

/** Returns how many combinations an import would write. */
export function changesOf(state: Import | null): number {
  return (state?.counts.new ?? 0) + (state?.counts.changed ?? 0);
}

/** Returns the kinds of entries in a file with their counts. */
export function choicesOf(state: Import): { value: string; label: string; count: number }[] {
  const kinds = KINDS.map(({ value, label }) => ({ value, label, count: state.counts[value] ?? 0 }));
  return [{ value: "", label: "all", count: state.total }, ...kinds.filter(({ count }) => count > 0)];
}
