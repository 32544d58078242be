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
  const families = useFamilies();
  const strikes = useVocabulary()?.strikes ?? [];
  const targets = (family: string) =>
    [...new Set(strikes.filter((strike) => strike.family === family).flatMap((strike) => strike.targets))].map(
      (target) => ({ value: target, label: target }),
    );
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
          return (
            <tr key={row.key} className={wrong.some((problem) => problem.stops) ? "row-wrong" : ""}>
              <td>
                {editing ? (
                  <Input
                    size="small"
                    value={row.number}
                    maxLength={5}
                    onChange={(event) => onChange(row.key, { number: event.target.value })}
                    aria-label={t`Number of row ${at + 1}`}
                    status={wrong.length > 0 ? "error" : ""}
                  />
                ) : (
                  <b className="numbers">{row.number}</b>
                )}
              </td>
              <td>
                {editing ? (
                  <Segmented
                    size="small"
                    value={row.position}
                    onChange={(position) => onChange(row.key, { position })}
                    options={positionsOf(boundTo)}
                    aria-label={t`Side of row ${at + 1}`}
                  />
                ) : (
                  row.position
                )}
              </td>
              <td>
                {editing ? (
                  <Select
                    size="small"
                    value={row.family}
                    onChange={(family) => onChange(row.key, { family })}
                    options={families}
                    aria-label={t`Strike of row ${at + 1}`}
                    className="numbering-family"
                  />
                ) : (
                  row.family
                )}
                {editing && wrong.map((problem) => <small key={problem.message}>{problem.message}</small>)}
              </td>
              <td>
                {editing ? (
                  <Select
                    size="small"
                    value={row.target ?? ""}
                    onChange={(target) =>
                      onChange(row.key, { target: target === "" ? null : (target as NonNullable<Row["target"]>) })
                    }
                    options={[{ value: "", label: t`default target` }, ...targets(row.family)]}
                    aria-label={t`Target of row ${at + 1}`}
                    className="numbering-target"
                  />
                ) : (
                  (row.target ?? (
                    <span className="small">
                      <Trans>default target</Trans>
                    </span>
                  ))
                )}
              </td>
              <td>
                {editing ? (
                  <Input
                    size="small"
                    value={row.name ?? ""}
                    {...bounds("NumberRequest", "name")}
                    onChange={(event) => onChange(row.key, { name: event.target.value || null })}
                    aria-label={t`Your name for row ${at + 1}`}
                  />
                ) : (
                  row.name
                )}
              </td>
              {editing && (
                <td>
                  <button
                    type="button"
                    className="quiet"
                    onClick={() => onRemove(row.key)}
                    aria-label={t`Remove ${row.number || t`row ${at + 1}`}`}
                  >
                    ×
                  </button>
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
    </table>
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
