import { t } from "@lingui/core/macro";
import { Flex } from "antd";
import { useState } from "react";
import type { PlanCombination, PlanSet } from "../api/schema";
import { CombinationLine } from "../combination-line/CombinationLine";
import { useWords } from "../ui/useWords";
import { VerdictMark } from "../ui/VerdictMark";
import { ActionButton } from "./ActionButton";
import { CombinationField } from "./CombinationField";
import { address, moved, type Place, without } from "./plan";
import { usePlanContext } from "./planContext";

interface Props {
  set: PlanSet;
  place: Place;
  compact: boolean;
  onCombinations: (combinations: PlanCombination[]) => void;
}

/** The combinations of a set with their lines. */
export function SetChains({ set, place, compact, onCombinations }: Props) {
  const { document } = usePlanContext();
  const [withWords] = useWords();
  const [edited, setEdited] = useState<number | null>(null);
  const together = document?.shared.find((one) => one.place === address(place));
  const lineOf = (chain: string, stance: string) =>
    document?.chains.find((one) => one.chain === chain && one.stance === stance);
  return (
    <ol className="set-chains">
      {set.combinations.map((one, at) => {
        const known = lineOf(one.chain, one.stance ?? "orthodox");
        // What it shares with the previous one; of another set while the answer is outdated.
        const shared = new Set(together?.items.length === set.combinations.length ? together.items[at] : []);
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: the same combination may be there twice
          <li key={at}>
            <Flex component="span" align="baseline" gap="small" className="set-chain">
              {edited === at ? (
                <CombinationField
                  isEmpty={false}
                  initial={one.chain}
                  onCancel={() => setEdited(null)}
                  onAdd={(next) => {
                    setEdited(null);
                    onCombinations(set.combinations.map((other, place) => (place === at ? next : other)));
                  }}
                />
              ) : (
                <button type="button" className="chain-button" title={t`Change it`} onClick={() => setEdited(at)}>
                  <b className="numbers">{one.chain}</b> {one.name && <small>{one.name}</small>}
                </button>
              )}
              {known && <VerdictMark verdict={known.verdict} />}
              <span className="ways">
                {set.combinations.length > 1 && (
                  <ActionButton
                    label={t`${one.chain} earlier`}
                    sign="up"
                    onPress={() => onCombinations(moved(set.combinations, at, at - 1))}
                  />
                )}
                <ActionButton
                  label={t`Remove ${one.chain}`}
                  sign="out"
                  onPress={() => onCombinations(without(set.combinations, at))}
                />
              </span>
            </Flex>
            {known && withWords && <p className="chain-words">{known.line.words}</p>}
            {known && !compact && (
              <CombinationLine
                drawing={known.line}
                name={one.name ?? one.chain}
                marked={shared.size > 0 ? shared : undefined}
              />
            )}
          </li>
        );
      })}
    </ol>
  );
}
