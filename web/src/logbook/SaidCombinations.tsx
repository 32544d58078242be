import { t } from "@lingui/core/macro";
import { Button, Flex, InputNumber } from "antd";
import { CombinationPick } from "../library-search/CombinationPick";
import { Segmented } from "../ui/Segmented";
import type { SaidCombination } from "./entryDraft";

interface Props {
  combinations: SaidCombination[];
  onChange: (combinations: SaidCombination[]) => void;
}

const STANCES = [
  { value: "own", label: t`own stance` },
  { value: "other", label: t`other` },
  { value: "both", label: t`both` },
] as const;

/** The combinations that were drilled without a plan, with minutes. */
export function SaidCombinations({ combinations, onChange }: Props) {
  const put = (at: number, change: Partial<SaidCombination>) =>
    onChange(combinations.map((one, place) => (place === at ? { ...one, ...change } : one)));
  return (
    <Flex vertical gap="small" className="said">
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
              aria-label={t`Minutes of ${one.name}`}
              suffix="min"
            />
            <Segmented
              size="small"
              value={one.stance}
              onChange={(stance) => put(at, { stance })}
              options={[...STANCES]}
              aria-label={t`Stance of ${one.name}`}
            />
            <Button
              type="text"
              aria-label={t`Leave out ${one.name}`}
              onClick={() => onChange(combinations.filter((_, place) => place !== at))}
            >
              ✕
            </Button>
          </li>
        ))}
      </ul>
      <CombinationPick
        label={t`Add a combination`}
        placeholder={t`Add a combination: a name, or numbers`}
        className="said-add"
        first={{ sort: "drilled", direction: "down" }}
        without={combinations.map(({ id }) => id)}
        onChoose={({ id, name, text }) => onChange([...combinations, { id, name, text, minutes: 6, stance: "own" }])}
      />
    </Flex>
  );
}
