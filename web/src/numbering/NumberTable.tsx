import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Button, Input, Select } from "antd";
import { useMemo, useState } from "react";
import { bounds } from "../api/bounds";
import type { NumberingPreview } from "../api/client";
import { useVocabulary } from "../api/useVocabulary";
import { Segmented } from "../ui/Segmented";
import { type BoundTo, newRow, positionsOf, type Row } from "./rows";

/** The numbers of a numbering with their meanings, to read or edit. */
export function NumberTable({
  rows,
  boundTo,
  editing,
  problems,
  onChange,
  onRemove,
}: {
  rows: Row[];
  boundTo: BoundTo;
  editing: boolean;
  problems: NumberingPreview["problems"];
  onChange: (key: number, part: Partial<Row>) => void;
  onRemove: (key: number) => void;
}) {
  return (
    <table className="plain-table numbering-table">
      <thead>
        <tr>
          <th scope="col">
            <Trans>Number</Trans>
          </th>
          <th scope="col">{boundTo === "hand" ? t`Hand` : t`Role`}</th>
          <th scope="col">
            <Trans>Strike</Trans>
          </th>
          <th scope="col">
            <Trans>Means when alone</Trans>
          </th>
          <th scope="col">
            <Trans>You call it</Trans>
          </th>
          {editing && <th scope="col" aria-label={t`Remove`} />}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, at) => {
          const wrong = problems.filter((problem) => problem.row === at);
          return editing ? (
            <EditedRow
              key={row.key}
              row={row}
              at={at}
              boundTo={boundTo}
              wrong={wrong}
              onChange={(part) => onChange(row.key, part)}
              onRemove={() => onRemove(row.key)}
            />
          ) : (
            <ShownRow key={row.key} row={row} isWrong={wrong.some((problem) => problem.stops)} />
          );
        })}
      </tbody>
    </table>
  );
}

/** A number of a numbering, to read. */
function ShownRow({ row, isWrong }: { row: Row; isWrong: boolean }) {
  return (
    <tr className={isWrong ? "row-wrong" : ""}>
      <td>
        <b className="numbers">{row.number}</b>
      </td>
      <td>{row.position}</td>
      <td>{row.family}</td>
      <td>
        {row.target ?? (
          <span className="small">
            <Trans>default target</Trans>
          </span>
        )}
      </td>
      <td>{row.name}</td>
    </tr>
  );
}

interface EditedProps {
  row: Row;
  at: number;
  boundTo: BoundTo;
  wrong: NumberingPreview["problems"];
  onChange: (part: Partial<Row>) => void;
  onRemove: () => void;
}

/** A number of a numbering, to edit. */
function EditedRow({ row, at, boundTo, wrong, onChange, onRemove }: EditedProps) {
  const families = useFamilies();
  const strikes = useVocabulary()?.strikes ?? [];
  const targets = (family: string) =>
    [...new Set(strikes.filter((strike) => strike.family === family).flatMap((strike) => strike.targets))].map(
      (target) => ({ value: target, label: target }),
    );
  return (
    <tr className={wrong.some((problem) => problem.stops) ? "row-wrong" : ""}>
      <td>
        <Input
          size="small"
          value={row.number}
          {...bounds("NumberRequest", "number")}
          onChange={(event) => onChange({ number: event.target.value })}
          aria-label={t`Number of row ${at + 1}`}
          status={wrong.length > 0 ? "error" : ""}
        />
      </td>
      <td>
        <Segmented
          size="small"
          value={row.position}
          onChange={(position) => onChange({ position })}
          options={positionsOf(boundTo)}
          aria-label={t`Side of row ${at + 1}`}
        />
      </td>
      <td>
        <Select
          size="small"
          value={row.family}
          onChange={(family) => onChange({ family })}
          options={families}
          aria-label={t`Strike of row ${at + 1}`}
          className="numbering-family"
        />
        {wrong.map((problem) => (
          <small key={problem.message}>{problem.message}</small>
        ))}
      </td>
      <td>
        <Select
          size="small"
          value={row.target ?? ""}
          onChange={(target) => onChange({ target: target === "" ? null : (target as NonNullable<Row["target"]>) })}
          options={[{ value: "", label: t`default target` }, ...targets(row.family)]}
          aria-label={t`Target of row ${at + 1}`}
          className="numbering-target"
        />
      </td>
      <td>
        <Input
          size="small"
          value={row.name ?? ""}
          {...bounds("NumberRequest", "name")}
          onChange={(event) => onChange({ name: event.target.value || null })}
          aria-label={t`Your name for row ${at + 1}`}
        />
      </td>
      <td>
        <button
          type="button"
          className="quiet"
          onClick={onRemove}
          aria-label={t`Remove ${row.number || t`row ${at + 1}`}`}
        >
          ×
        </button>
      </td>
    </tr>
  );
}

function useFamilies() {
  const strikes = useVocabulary()?.strikes;
  return useMemo(
    () => [...new Set(strikes?.map((strike) => strike.family))].map((family) => ({ value: family, label: family })),
    [strikes],
  );
}

/** Adds a number for a strike. */
export function AddNumber({ onAdd, boundTo }: { onAdd: (row: Row) => void; boundTo: BoundTo }) {
  const families = useFamilies();
  const [family, setFamily] = useState("hook");
  return (
    <>
      <Select
        size="small"
        value={family}
        onChange={setFamily}
        options={families}
        aria-label={t`Strike of a new number`}
        className="numbering-family"
      />
      <Button size="small" onClick={() => onAdd(newRow(family, boundTo))}>
        <Trans>Add a number</Trans>
      </Button>
    </>
  );
}
