import { t } from "@lingui/core/macro";
import type { FileFormat, Import, ImportFormat } from "../api/client";
import { FILE_FORMATS } from "../ui/words";

/** What happens to an entry of a file. */
export const KINDS: { value: string; label: string; says: string }[] = [
  { value: "new", label: t`new`, says: t`is added to the library` },
  { value: "changed", label: t`changed`, says: t`changes one of the same name or chain` },
  { value: "duplicate", label: t`duplicate`, says: t`is in the library already; skipped` },
  { value: "same", label: t`same`, says: t`is in the library unchanged; skipped` },
  { value: "unreadable", label: t`unreadable`, says: t`cannot be read; edit it here, or it is skipped` },
  { value: "remark", label: t`remark`, says: t`is about something else; edit it here, or it is skipped` },
  { value: "left-out", label: t`skipped`, says: t`skipped by you` },
];

/** How each format is offered for import; a page of notes is only imported. */
export const IMPORT_FORMATS: { value: ImportFormat; label: string }[] = [
  ...(Object.keys(FILE_FORMATS) as FileFormat[]).map((value) => ({ value, label: FILE_FORMATS[value].reads })),
  { value: "notes", label: t`notes: sentences, bullets, headings` },
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
  return [{ value: "", label: t`all`, count: state.total }, ...kinds.filter(({ count }) => count > 0)];
}
