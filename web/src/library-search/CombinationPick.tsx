import { t } from "@lingui/core/macro";
import { Select } from "antd";
import { useState } from "react";
import { type CombinationRow, isAway } from "../api/client";
import { useReachable } from "../api/connection";
import { useDebounced } from "../ui/useDebounced";
import { type Filters, useLibrary } from "./useLibrary";

/** Number of rows offered at a time. */
const MAX_OFFERED = 20;

interface Props {
  label: string;
  placeholder: string;
  className?: string;
  /** The selected combination; null where each selection is used at once. */
  chosen?: { id: number; name: string } | null;
  /** The order of the offers before anything is typed. */
  first: Pick<Filters, "sort" | "direction">;
  /** Ids that are not offered. */
  without?: number[];
  onChoose: (row: CombinationRow) => void;
}

/** Selects a combination, found by its name or chain first, then by any search. */
export function CombinationPick({
  label,
  placeholder,
  className,
  chosen = null,
  first,
  without = [],
  onChoose,
}: Props) {
  const [typed, setTyped] = useState("");
  const q = useDebounced(typed, 250);
  const found = useLibrary({ q, size: MAX_OFFERED, ...(q === "" ? first : { closest: true }) });
  const reachable = useReachable();
  // An outdated list offers nothing, so that Enter cannot select something unintended.
  const isOld = typed !== q || found.isPlaceholderData || found.isPending;
  const rows = isOld ? [] : (found.data?.combinations ?? []).filter(({ id }) => !without.includes(id));
  const away = !reachable || isAway(found.error);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: it holds a key back from the field, and takes none itself
    <span
      className="pick"
      onKeyDownCapture={(event) => {
        if (event.key === "Enter" && isOld) {
          event.preventDefault();
          event.stopPropagation();
        }
      }}
    >
      <Select
        showSearch={{ filterOption: false, onSearch: setTyped, searchValue: typed }}
        value={chosen?.id ?? null}
        placeholder={placeholder}
        aria-label={label}
        className={className}
        notFoundContent={away ? t`No connection; try again when it is back` : isOld ? t`Searching …` : t`Nothing found`}
        options={[
          ...(chosen && typed === "" && !rows.some(({ id }) => id === chosen.id)
            ? [{ value: chosen.id, label: chosen.name }]
            : []),
          ...rows.map(({ id, name, text }) => ({ value: id, label: `${name} · ${text}` })),
        ]}
        onChange={(id: number | null) => {
          const row = rows.find((one) => one.id === id);
          if (row) {
            setTyped("");
            onChoose(row);
          }
        }}
      />
    </span>
  );
}
