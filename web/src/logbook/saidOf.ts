import type { LogEntry } from "../api/client";
import type { EntryDraft } from "./entryDraft";

type Work = Pick<LogEntry["drilled"][number], "id" | "name" | "text" | "ms" | "otherMs">;

/** Returns the drilled combinations in the form of an entry by hand. */
export function saidOf(entry: { drilled: Work[] }): NonNullable<EntryDraft["combinations"]> {
  return entry.drilled.flatMap(({ id, name, text, ms, otherMs }) =>
    id === null
      ? []
      : [
          {
            id,
            name,
            text,
            minutes: Math.round(ms / 6000) / 10,
            stance: otherMs === 0 ? ("own" as const) : otherMs >= ms ? ("other" as const) : ("both" as const),
          },
        ],
  );
}
