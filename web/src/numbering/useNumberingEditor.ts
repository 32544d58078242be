import { useState } from "react";
import type { Numbering, NumberingRequest } from "../api/client";
import { useNumbering } from "../api/useNumbering";
import { type BoundTo, bound, changed, idOf, type Row, rowsOf } from "./rows";
import { useNumberingPreview } from "./useNumberingPreview";

/** The state of a numbering while it is edited, with a preview; saves nothing. */
export function useNumberingEditor(numbering: Numbering, numberings: Numbering[]) {
  const mine = useNumbering();
  const [name, setName] = useState(numbering.isBuiltIn ? "" : numbering.name);
  const [about, setAbout] = useState(numbering.about);
  const [boundTo, setBoundTo] = useState<BoundTo>(numbering.boundTo);
  const [rows, setRows] = useState<Row[]>(() => rowsOf(numbering));
  const [other, setOther] = useState(() =>
    mine !== numbering.id ? mine : (numberings.find((one) => one.id !== numbering.id)?.id ?? mine),
  );
  const request: NumberingRequest = {
    name: name.trim() || numbering.name,
    about,
    boundTo,
    comparedWith: other,
    numbers: rows.map(({ key: _, ...row }) => row),
  };
  const preview = useNumberingPreview(request).data;
  const problems = preview?.problems ?? [];
  // A built-in numbering cannot be changed, and another name makes another numbering.
  const isNew = numbering.isBuiltIn || name.trim() !== numbering.name;
  return {
    name,
    setName,
    about,
    setAbout,
    boundTo,
    bind: (to: BoundTo) => {
      setRows((now) => bound(now, boundTo, to));
      setBoundTo(to);
    },
    rows,
    change: (key: number, part: Partial<Row>) => setRows((now) => changed(now, key, part)),
    remove: (key: number) => setRows((now) => now.filter((row) => row.key !== key)),
    add: (row: Row) => setRows((now) => [...now, row]),
    /** The numbering that it is compared with. */
    other,
    setOther,
    reset: () => {
      setRows(rowsOf(numbering));
      setBoundTo(numbering.boundTo);
    },
    preview,
    problems,
    /** Whether something has to be corrected before saving. */
    stops: problems.some((problem) => problem.stops),
    /** The numbering to be saved; null while it has no name. */
    toSave:
      idOf(name) === ""
        ? null
        : { id: isNew ? idOf(name) : numbering.id, version: isNew ? null : numbering.version, body: request },
  };
}

export type NumberingEditor = ReturnType<typeof useNumberingEditor>;
