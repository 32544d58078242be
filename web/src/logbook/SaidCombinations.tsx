import { useQuery } from "@tanstack/react-query";
import { Button, InputNumber, Select } from "antd";
import { useState } from "react";
import { answered, api } from "../api/client";
import { keys } from "../api/keys";
import { Segmented } from "../ui/Segmented";
import { useSettled } from "../ui/useSettled";
import type { SaidCombination } from "./entryDraft";

interface Props {
  combinations: SaidCombination[];
  onChange: (combinations: SaidCombination[]) => void;
}

const STANCES = [
  { value: "own", label: "own stance" },
  { value: "other", label: "other" },
  { value: "both", label: "both" },
] as const;

/** What was drilled without a plan: combinations of the library, with minutes. */
export function SaidCombinations({ combinations, onChange }: Props) {
  const [typed, setTyped] = useState("");
  const q = useSettled(typed, 250);
  const query = { q, size: 20, ...(q === "" ? { sort: "drilled" as const, direction: "down" as const } : {}) };
  const found = useQuery({
    queryKey: keys.combinationPage(query),
    queryFn: ({ signal }) => answered(api.GET("/api/combinations", { params: { query }, signal })),
  });
  const rows = found.data?.combinations ?? [];
  const put = (at: number, change: Partial<SaidCombination>) =>
    onChange(combinations.map((one, place) => (place === at ? { ...one, ...change } : one)));
  return (
    <div className="said">
      <ul>
        {combinations.map((one, at) => (
          <li key={one.id}>
            <span className="said-name">
              <b>{one.name}</b> <span className="drilled-chain">{one.text}</span>
            </span>
            <InputNumber
              min={0.5}
              max={120}
              step={1}
              value={one.minutes}
              onChange={(minutes) => minutes !== null && put(at, { minutes })}
              aria-label={`Minutes of ${one.name}`}
              suffix="min"
            />
            <Segmented
              size="small"
              value={one.stance}
              onChange={(stance) => put(at, { stance })}
              options={[...STANCES]}
              aria-label={`Stance of ${one.name}`}
            />
            <Button
              type="text"
              aria-label={`Leave out ${one.name}`}
              onClick={() => onChange(combinations.filter((_, place) => place !== at))}
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      <Select
        showSearch={{ filterOption: false, onSearch: setTyped, searchValue: typed }}
        value={null}
        placeholder="Add a combination: a name, or numbers"
        aria-label="Add a combination"
        className="said-add"
        notFoundContent={found.isPending ? "Looking" : "Nothing found"}
        options={rows
          .filter(({ id }) => !combinations.some((one) => one.id === id))
          .map(({ id, name, text }) => ({ value: id, label: `${name} · ${text}` }))}
        onChange={(id: number | null) => {
          const row = rows.find((one) => one.id === id);
          if (row) {
            onChange([...combinations, { id: row.id, name: row.name, text: row.text, minutes: 6, stance: "own" }]);
            setTyped("");
          }
        }}
      />
    </div>
  );
}
